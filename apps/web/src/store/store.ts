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
import { keepWritesWith } from '../remote/keptWrites/keeper.ts'
import { startKeptWrites } from '../remote/keptWrites/keptWrites.ts'
import { keptWritesSlice } from '../remote/keptWrites/keptWritesSlice.ts'
import { sendWrite } from '../remote/keptWrites/sendWrite.ts'
import { openWriteStore } from '../remote/keptWrites/writeStore.ts'
import { reachSlice, serverHeard, serverSilent } from '../remote/reachSlice.ts'
import { sendFit } from '../remote/sendFit.ts'
import { signInSlice } from '../remote/signInSlice.ts'

export const store = configureStore({
  reducer: {
    [api.reducerPath]: api.reducer,
    outbox: outboxSlice.reducer,
    shift: shiftSlice.reducer,
    signIn: signInSlice.reducer,
    reach: reachSlice.reducer,
    keptWrites: keptWritesSlice.reducer,
  },
  middleware: (getDefault) => getDefault().concat(api.middleware),
})
setupListeners(store.dispatch)

const tablet = openTabletStore()
export const outbox = startOutbox({ store, tablet, send: sendFit(store.dispatch) })
export const keptWrites = startKeptWrites({ store, kept: openWriteStore(), ask: sendWrite })
keepWritesWith(keptWrites)
window.addEventListener('online', () => {
  outbox.sendNow()
  keptWrites.sendNow()
})
export const afterRestore = watchLife({
  dispatch: store.dispatch,
  tablet,
  missing: askMissing,
  send: (events) => outbox.add(events),
})
startLiveNews({
  dispatch: store.dispatch,
  onOpen: () => {
    store.dispatch(serverHeard())
    outbox.sendNow()
    keptWrites.sendNow()
  },
  onSilent: () => store.dispatch(serverSilent()),
  onLife: (life) => void afterRestore.hears(life),
})

type RootState = ReturnType<typeof store.getState>
export const useAppSelector = useSelector.withTypes<RootState>()
export const useAppDispatch = useDispatch.withTypes<typeof store.dispatch>()
