import { type FactsBorrowed, type FitFacts, fitFacts, type ToForgetFacts } from '@truelay/contract'
import { z } from 'zod'
import { api } from './api.ts'

/** What all finished fits of the shop teach, and what other shops have given. */
export const memoryApi = api.injectEndpoints({
  endpoints: (build) => ({
    memory: build.query<FitFacts, void>({
      query: () => 'memory',
      responseSchema: fitFacts,
      providesTags: ['Learned'],
    }),
    borrowFacts: build.mutation<{ id: string }, FactsBorrowed>({
      query: (body) => ({ url: 'memory/borrowed', method: 'POST', body }),
      responseSchema: z.strictObject({ id: z.uuid() }),
      invalidatesTags: ['Learned'],
    }),
    giveBackFacts: build.mutation<{ forgotten: boolean }, string>({
      query: (id) => ({ url: `memory/borrowed/${encodeURIComponent(id)}`, method: 'DELETE' }),
      responseSchema: z.strictObject({ forgotten: z.boolean() }),
      invalidatesTags: ['Learned'],
    }),
    forgetFacts: build.mutation<{ forgotten: boolean }, ToForgetFacts>({
      query: (body) => ({ url: 'memory/forgotten', method: 'PUT', body }),
      responseSchema: z.strictObject({ forgotten: z.boolean() }),
      invalidatesTags: ['Learned'],
    }),
  }),
})

export const { useMemoryQuery, useBorrowFactsMutation, useGiveBackFactsMutation, useForgetFactsMutation } = memoryApi
