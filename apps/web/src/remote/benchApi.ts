import {
  type BatchChange,
  type BatchDraft,
  type BladeLog,
  type BladeStroke,
  batch,
  bladeLog,
  type LiquidBatch,
  type Liquids,
  liquids,
  type Supply,
  supply,
} from '@truelay/contract'
import { api } from './api.ts'

const at = encodeURIComponent

/** What is mixed and cut with: batches, supplies, blades. */
export const benchApi = api.injectEndpoints({
  endpoints: (build) => ({
    liquids: build.query<Liquids, void>({ query: () => 'liquids', responseSchema: liquids, providesTags: ['Liquids'] }),
    mixBatch: build.mutation<LiquidBatch, BatchDraft>({
      query: (draft) => ({ url: `batches/${at(draft.id)}`, method: 'PUT', body: draft }),
      responseSchema: batch,
      invalidatesTags: ['Liquids'],
    }),
    changeBatch: build.mutation<LiquidBatch, { id: LiquidBatch['id']; change: BatchChange }>({
      query: ({ id, change }) => ({ url: `batches/${at(id)}/changes`, method: 'POST', body: change }),
      responseSchema: batch,
      invalidatesTags: ['Liquids'],
    }),
    saveSupply: build.mutation<Supply, Supply>({
      query: (body) => ({ url: 'supplies', method: 'PUT', body }),
      responseSchema: supply,
      invalidatesTags: ['Liquids'],
    }),
    blades: build.query<BladeLog, void>({
      query: () => 'blades',
      responseSchema: bladeLog,
      providesTags: ['Blades'],
    }),
    addBladeStroke: build.mutation<BladeLog, BladeStroke>({
      query: (body) => ({ url: 'blades', method: 'POST', body }),
      responseSchema: bladeLog,
      invalidatesTags: ['Blades'],
    }),
  }),
})

export const {
  useLiquidsQuery,
  useMixBatchMutation,
  useChangeBatchMutation,
  useSaveSupplyMutation,
  useBladesQuery,
  useAddBladeStrokeMutation,
} = benchApi
