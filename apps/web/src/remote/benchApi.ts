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
import type { Keeping } from './baseQuery.ts'

const at = encodeURIComponent

/** Of a bottle that the server has not numbered yet. */
const numberComes = '…'

/** A bottle is kept with the level and the strength that it has been given here. */
const bottleKeeping: Keeping = {
  what: 'bottle',
  answer: (url, _body, state) => {
    const [, id] = url.split('/').map(decodeURIComponent)
    return (
      benchApi.endpoints.liquids
        .select()(state as never)
        .data?.batches.find((b) => b.id === id) ?? null
    )
  },
  shows: (_url, state) => {
    const { data } = benchApi.endpoints.liquids.select()(state as never)
    return data === undefined ? null : { url: 'liquids', data }
  },
}

/** What is mixed and cut with: batches, supplies, blades. */
export const benchApi = api.injectEndpoints({
  endpoints: (build) => ({
    liquids: build.query<Liquids, void>({ query: () => 'liquids', responseSchema: liquids, providesTags: ['Liquids'] }),
    mixBatch: build.mutation<LiquidBatch, BatchDraft>({
      query: (draft) => ({ url: `batches/${at(draft.id)}`, method: 'PUT', body: draft }),
      responseSchema: batch,
      extraOptions: { keeping: bottleKeeping },
      invalidatesTags: ['Liquids'],
      async onQueryStarted(draft, { dispatch, queryFulfilled }) {
        const shown = dispatch(
          benchApi.util.updateQueryData('liquids', undefined, (all) => {
            const now = new Date().toISOString()
            const { personId, says, leftMl } = draft
            const history = [{ at: now, personId, what: 'mixed' as const, says, leftMl }]
            all.batches.push({ ...draft, number: numberComes, mixedAt: now, emptiedAt: null, history } as never)
          }),
        )
        await queryFulfilled.catch(() => shown.undo())
      },
    }),
    changeBatch: build.mutation<LiquidBatch, { id: LiquidBatch['id']; change: BatchChange }>({
      query: ({ id, change }) => ({ url: `batches/${at(id)}/changes`, method: 'POST', body: change }),
      responseSchema: batch,
      extraOptions: { keeping: bottleKeeping },
      invalidatesTags: ['Liquids'],
      async onQueryStarted({ id, change }, { dispatch, queryFulfilled }) {
        const shown = dispatch(
          benchApi.util.updateQueryData('liquids', undefined, (all) => {
            const bottle = all.batches.find((b) => b.id === id)
            if (bottle === undefined) return
            if (change.what === 'emptied') Object.assign(bottle, { leftMl: 0, emptiedAt: new Date().toISOString() })
            else if (change.what === 'level') bottle.leftMl = change.leftMl
            else {
              const { strength, leftMl, says, school } = change
              Object.assign(bottle, { strength, leftMl, says, school })
            }
          }),
        )
        await queryFulfilled.catch(() => shown.undo())
      },
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
