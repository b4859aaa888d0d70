import { createSlice, type PayloadAction } from '@reduxjs/toolkit'
import type { KeptWrite } from './writeStore.ts'

/** As it is shown: without what it carries. */
export type ShownWrite = Pick<KeptWrite, 'id' | 'what' | 'at' | 'refused'>

const begin: { readonly waiting: readonly ShownWrite[] } = { waiting: [] }

/** What waits for the server besides fits. */
export const keptWritesSlice = createSlice({
  name: 'keptWrites',
  initialState: begin,
  reducers: {
    writesKept: (_, { payload }: PayloadAction<readonly KeptWrite[]>) => ({
      waiting: payload.map(({ id, what, at, refused }) => ({ id, what, at, refused })),
    }),
  },
})
export const { writesKept } = keptWritesSlice.actions
