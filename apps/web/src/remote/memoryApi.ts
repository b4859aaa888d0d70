import { type FitFacts, fitFacts } from '@truelay/contract'
import { api } from './api.ts'

/** What all finished fits of the shop teach. */
export const memoryApi = api.injectEndpoints({
  endpoints: (build) => ({
    memory: build.query<FitFacts, void>({
      query: () => 'memory',
      responseSchema: fitFacts,
      providesTags: ['Learned'],
    }),
  }),
})

export const { useMemoryQuery } = memoryApi
