import { configureStore } from '@reduxjs/toolkit'
import { setupListeners } from '@reduxjs/toolkit/query'
import { useDispatch, useSelector } from 'react-redux'
import { shiftSlice } from '../bench/shiftSlice.ts'
import { api } from '../remote/api.ts'
import { startOutbox } from '../remote/outbox.ts'
import { outboxSlice } from '../remote/outboxSlice.ts'

export const store = configureStore({
  reducer: {
    [api.reducerPath]: api.reducer,
    outbox: outboxSlice.reducer,
    shift: shiftSlice.reducer,
  },
  middleware: (getDefault) => getDefault().concat(api.middleware),
})
setupListeners(store.dispatch)

export const outbox = startOutbox(store)

type RootState = ReturnType<typeof store.getState>
export const useAppSelector = useSelector.withTypes<RootState>()
export const useAppDispatch = useDispatch.withTypes<typeof store.dispatch>()
