import {
  type CountedRoll,
  type NewRoll,
  type Roll,
  type RollBook,
  rollBook,
  rollDoc,
  type RollId,
  type RollNote,
  type Stock,
  stock,
} from '@truelay/contract'
import { api } from './api.ts'

const at = encodeURIComponent

/** Rolls and lots, and how far the film lasts. */
const stockApi = api.injectEndpoints({
  endpoints: (build) => ({
    stock: build.query<Stock, void>({ query: () => 'stock', responseSchema: stock, providesTags: ['Stock'] }),
    rollBook: build.query<RollBook, string>({
      query: (id) => `stock/rolls/${at(id)}`,
      responseSchema: rollBook,
      providesTags: ['Stock'],
    }),
    addRoll: build.mutation<Roll, NewRoll>({
      query: (body) => ({ url: 'stock/rolls', method: 'POST', body }),
      responseSchema: rollDoc,
      invalidatesTags: ['Stock'],
    }),
    saveRoll: build.mutation<Roll, Roll>({
      query: (roll) => ({ url: `stock/rolls/${at(roll.id)}`, method: 'PUT', body: roll }),
      responseSchema: rollDoc,
      invalidatesTags: ['Stock'],
    }),
    noteOnRoll: build.mutation<CountedRoll, { readonly rollId: RollId; readonly note: RollNote }>({
      query: ({ rollId, note }) => ({ url: `stock/rolls/${at(rollId)}/lines`, method: 'POST', body: note }),
      invalidatesTags: ['Stock'],
    }),
  }),
})

export const { useStockQuery, useRollBookQuery, useAddRollMutation, useSaveRollMutation, useNoteOnRollMutation } =
  stockApi
