import { type FitEvent, type FitLog, type FitReceipt, type PartId, fitLog, fitReceipt } from '@truelay/contract'
import { api } from './api.ts'

const at = encodeURIComponent

/** What happens in fits. */
export const fitApi = api.injectEndpoints({
  endpoints: (build) => ({
    fit: build.query<FitLog, PartId>({
      query: (id) => `parts/${at(id)}/fit`,
      responseSchema: fitLog,
      providesTags: (_log, _error, id) => [{ type: 'Fit', id }],
    }),
    sendFitEvents: build.mutation<FitReceipt, { partId: PartId; events: readonly FitEvent[] }>({
      query: ({ partId, events }) => ({ url: `parts/${at(partId)}/fit`, method: 'POST', body: events }),
      responseSchema: fitReceipt,
      invalidatesTags: ['Bay', 'Day', 'Record', 'Liquids', 'Blades'],
    }),
  }),
})

export const { useFitQuery, useSendFitEventsMutation } = fitApi
