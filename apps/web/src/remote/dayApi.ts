import { type ShopDayPlan, shopDayPlan } from '@truelay/contract'
import { api } from './api.ts'

/** Who does what when, as the server keeps it. */
export const dayApi = api.injectEndpoints({
  endpoints: (build) => ({
    day: build.query<ShopDayPlan, void>({
      query: () => 'day',
      responseSchema: shopDayPlan,
    }),
  }),
})

export const { useDayQuery } = dayApi
