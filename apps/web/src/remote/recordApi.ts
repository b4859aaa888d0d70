import { type PartId, type PartRecord, partRecord } from '@truelay/contract'
import { api } from './api.ts'

const at = encodeURIComponent

/** What is kept of a fitted part. */
export const recordApi = api.injectEndpoints({
  endpoints: (build) => ({
    record: build.query<PartRecord, PartId>({
      query: (id) => `parts/${at(id)}/record`,
      responseSchema: partRecord,
      providesTags: ['Record'],
    }),
  }),
})

export const { useRecordQuery } = recordApi
