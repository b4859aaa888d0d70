import { Provider } from 'react-redux'
import { RouterProvider } from 'react-router/dom'
import { SignInGate } from '../screens/signIn/SignInGate.tsx'
import { store } from '../store/store.ts'
import { ShopSettings } from './ShopSettings.tsx'
import { router } from './router.tsx'

export function App() {
  return (
    <Provider store={store}>
      <ShopSettings>
        <SignInGate>
          <RouterProvider router={router} />
        </SignInGate>
      </ShopSettings>
    </Provider>
  )
}
