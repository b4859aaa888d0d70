import { configureStore } from '@reduxjs/toolkit'
import { setupListeners } from '@reduxjs/toolkit/query'
import { useDispatch, useSelector } from 'react-redux'
import { shiftSlice } from '../bench/shiftSlice.ts'
import { api } from '../remote/api.ts'
import { watchLife } from '../remote/afterRestore.ts'
import { askMissing } from '../remote/askMissing.ts'
import { startLiveNews } from '../remote/liveNews.ts'
import { startOutbox } from '../remote/outbox.ts'
import { outboxSlice } from '../remote/outboxSlice.ts'
import { openTabletStore } from '../remote/outboxStore.ts'
import { sendFit } from '../remote/sendFit.ts'

export const store = configureStore({
  reducer: {
    [api.reducerPath]: api.reducer,
    outbox: outboxSlice.reducer,
    shift: shiftSlice.reducer,
  },
  middleware: (getDefault) => getDefault().concat(api.middleware),
})
setupListeners(store.dispatch)

const tablet = openTabletStore()
export const outbox = startOutbox({ store, tablet, send: sendFit(store.dispatch) })
window.addEventListener('online', outbox.sendNow)
export const afterRestore = watchLife({
  dispatch: store.dispatch,
  tablet,
  missing: askMissing,
  send: (events) => outbox.add(events),
})
startLiveNews({
  dispatch: store.dispatch,
  onOpen: outbox.sendNow,
  onLife: (life) => void afterRestore.hears(life),
})

type RootState = ReturnType<typeof store.getState>
export const useAppSelector = useSelector.withTypes<RootState>()
export const useAppDispatch = useDispatch.withTypes<typeof store.dispatch>()
