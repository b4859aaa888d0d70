import {
  type AskedPromise,
  type DayTaught,
  type DayTried,
  type DayWishes,
  dayTaught,
  dayTried,
  dayWishes,
  type EarliestPromise,
  earliestPromise,
  type ShopDayPlan,
  shopDayPlan,
} from '@truelay/contract'
import { api } from './api.ts'

/** Who does what when, as the server keeps it. */
export const dayApi = api.injectEndpoints({
  endpoints: (build) => ({
    day: build.query<ShopDayPlan, void>({
      query: () => 'day',
      responseSchema: shopDayPlan,
      providesTags: ['Day'],
    }),
    /** What a change would cost; nothing is kept. */
    dayTried: build.query<DayTried, DayWishes>({
      query: (wishes) => ({ url: 'day/tried', params: { wishes: JSON.stringify(wishes) } }),
      responseSchema: dayTried,
      providesTags: ['Day'],
      keepUnusedDataFor: 5,
    }),
    wishDay: build.mutation<DayWishes, DayWishes>({
      query: (body) => ({ url: 'day/wishes', method: 'PUT', body }),
      responseSchema: dayWishes,
      invalidatesTags: ['Day'],
    }),
    dayTaught: build.query<DayTaught, void>({
      query: () => 'day/taught',
      responseSchema: dayTaught,
      providesTags: ['Day'],
    }),
    /** When a vehicle that may come can be promised for. */
    earliestPromise: build.query<EarliestPromise, AskedPromise>({
      query: (asked) => ({ url: 'day/promise', params: { asked: JSON.stringify(asked) } }),
      responseSchema: earliestPromise,
      keepUnusedDataFor: 0,
    }),
  }),
})

export const { useDayQuery, useDayTriedQuery, useWishDayMutation, useDayTaughtQuery, useLazyEarliestPromiseQuery } =
  dayApi
