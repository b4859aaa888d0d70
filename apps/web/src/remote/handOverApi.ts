import {
  type HandedOver,
  type HandOver,
  type HandOverDraft,
  handedOver,
  handOver,
  type JobId,
  type LightAcknowledged,
  lightAcknowledged,
  type PartId,
} from '@truelay/contract'
import { api } from './api.ts'

const at = encodeURIComponent

/** What has to be known where a job is closed, and closing it. */
export const handOverApi = api.injectEndpoints({
  endpoints: (build) => ({
    handOver: build.query<HandOver, JobId>({
      query: (id) => `jobs/${at(id)}/hand-over`,
      responseSchema: handOver,
      providesTags: ['Record'],
    }),
    handOverJob: build.mutation<HandedOver, { id: JobId; draft: HandOverDraft }>({
      query: ({ id, draft }) => ({ url: `jobs/${at(id)}/hand-over`, method: 'PUT', body: draft }),
      responseSchema: handedOver,
      invalidatesTags: ['Bay', 'Day', 'Job', 'Jobs', 'Record'],
    }),
    acknowledgeLight: build.mutation<LightAcknowledged, { id: PartId } & Pick<LightAcknowledged, 'name' | 'says'>>({
      query: ({ id, ...body }) => ({ url: `parts/${at(id)}/light-acknowledged`, method: 'PUT', body }),
      responseSchema: lightAcknowledged,
      invalidatesTags: ['Record'],
    }),
  }),
})

export const { useHandOverQuery, useHandOverJobMutation, useAcknowledgeLightMutation } = handOverApi
