import { lazy, type ReactNode, Suspense } from 'react'
import { useAppSelector } from '../../store/store.ts'

const SignInScreen = lazy(async () => ({ default: (await import('./SignInScreen.tsx')).SignInScreen }))

/** The app, and in front of it the way in while the server does not know who asks. */
export function SignInGate({ children }: { readonly children: ReactNode }) {
  const asks = useAppSelector((state) => state.signIn.asks)
  return (
    <>
      <div className="contents" inert={asks !== 'nothing'}>
        {children}
      </div>
      {asks === 'nothing' ? null : (
        <Suspense>
          <SignInScreen asks={asks} />
        </Suspense>
      )}
    </>
  )
}
