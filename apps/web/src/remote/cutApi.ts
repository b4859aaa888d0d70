import { type CutDone, type CutDraft, cutDone, type DeviceReading, deviceKinds, type JobId } from '@truelay/contract'
import { z } from 'zod'
import { api } from './api.ts'

/** The plotter, and what it is sent. */
export const cutApi = api.injectEndpoints({
  endpoints: (build) => ({
    plotter: build.query<DeviceReading<'plotter'>, void>({
      query: () => 'devices/plotter/reading',
      responseSchema: deviceKinds.plotter.reading as unknown as z.ZodType<
        DeviceReading<'plotter'>,
        DeviceReading<'plotter'>
      >,
      providesTags: ['Plotter'],
    }),
    cuts: build.query<CutDone[], JobId>({
      query: (jobId) => `jobs/${encodeURIComponent(jobId)}/cuts`,
      responseSchema: z.array(cutDone),
      providesTags: ['Stock'],
    }),
    sendCut: build.mutation<CutDone, { readonly jobId: JobId; readonly draft: CutDraft }>({
      query: ({ jobId, draft }) => ({ url: `jobs/${encodeURIComponent(jobId)}/cuts`, method: 'POST', body: draft }),
      responseSchema: cutDone,
      invalidatesTags: (_cut, _error, { jobId }) => [{ type: 'KitCheck', id: jobId }, 'Record', 'Plotter', 'Stock'],
    }),
  }),
})

export const { useCutsQuery, usePlotterQuery, useSendCutMutation } = cutApi
