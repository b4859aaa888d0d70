import {
  type Bay,
  bay,
  type FitEvent,
  type FitLog,
  type FitReceipt,
  fitLog,
  fitReceipt,
  type JobBundle,
  type JobId,
  jobBundle,
  type Part,
  type PartId,
  type PartRecord,
  part,
  partRecord,
  type Shift,
  type Shop,
  type ShopChange,
  shop,
} from '@truelay/contract'
import { createApi, fetchBaseQuery } from '@reduxjs/toolkit/query/react'

/** Everything that comes from the server; each answer is checked against its schema. */
export const api = createApi({
  reducerPath: 'remote',
  baseQuery: fetchBaseQuery({ baseUrl: '/api' }),
  tagTypes: ['Bay', 'Job', 'Fit', 'Record', 'Shop'],
  endpoints: (build) => ({
    bay: build.query<Bay, void>({ query: () => 'bay', responseSchema: bay, providesTags: ['Bay'] }),
    job: build.query<JobBundle, JobId>({
      query: (id) => `jobs/${encodeURIComponent(id)}`,
      responseSchema: jobBundle,
      providesTags: (_job, _error, id) => [{ type: 'Job', id }],
    }),
    fit: build.query<FitLog, PartId>({
      query: (id) => `parts/${encodeURIComponent(id)}/fit`,
      responseSchema: fitLog,
      providesTags: (_log, _error, id) => [{ type: 'Fit', id }],
    }),
    sendFitEvents: build.mutation<FitReceipt, { partId: PartId; events: readonly FitEvent[] }>({
      query: ({ partId, events }) => ({ url: `parts/${encodeURIComponent(partId)}/fit`, method: 'POST', body: events }),
      responseSchema: fitReceipt,
      invalidatesTags: ['Bay', 'Record'],
    }),
    record: build.query<PartRecord, PartId>({
      query: (id) => `parts/${encodeURIComponent(id)}/record`,
      responseSchema: partRecord,
      providesTags: ['Record'],
    }),
    shop: build.query<Shop, void>({ query: () => 'shop', responseSchema: shop, providesTags: ['Shop'] }),
    changeShop: build.mutation<Shop, ShopChange>({
      query: (change) => ({ url: 'shop', method: 'PATCH', body: change }),
      responseSchema: shop,
      invalidatesTags: ['Shop', 'Job', 'Bay', 'Record'],
    }),
    saveShift: build.mutation<Part, { jobId: JobId; partId: PartId; shift: Shift }>({
      query: ({ partId, shift }) => ({ url: `parts/${encodeURIComponent(partId)}/shift`, method: 'PUT', body: shift }),
      responseSchema: part,
      async onQueryStarted({ jobId, partId }, { dispatch, queryFulfilled }) {
        const { data } = await queryFulfilled
        dispatch(
          api.util.updateQueryData('job', jobId, (draft) => {
            const index = draft.parts.findIndex((p) => p.id === partId)
            if (index >= 0) draft.parts[index] = data
          }),
        )
      },
    }),
  }),
})

export const {
  useBayQuery,
  useJobQuery,
  useFitQuery,
  useRecordQuery,
  useShopQuery,
  useChangeShopMutation,
  useSaveShiftMutation,
} = api
