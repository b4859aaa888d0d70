import {
  type Film,
  filmDoc,
  type FirstShop,
  type NewFilm,
  type NewPerson,
  type Person,
  type PersonChange,
  type PersonId,
  person,
  type Shop,
  shop,
  type ShopChange,
} from '@truelay/contract'
import { z } from 'zod'
import { api } from './api.ts'

/** What the shop itself is: how it is opened, who works in it, what lies on its shelf. */
const shopApi = api.injectEndpoints({
  endpoints: (build) => ({
    changeShop: build.mutation<Shop, ShopChange>({
      query: (change) => ({ url: 'shop', method: 'PATCH', body: change }),
      responseSchema: shop,
      invalidatesTags: ['Shop', 'Job', 'Bay', 'Day', 'Record'],
    }),
    openShop: build.mutation<Shop, FirstShop>({
      query: (body) => ({ url: 'shop', method: 'POST', body }),
      responseSchema: shop,
      invalidatesTags: ['Shop', 'Bay', 'Day', 'Shelf', 'People'],
    }),
    people: build.query<Person[], void>({
      query: () => 'people',
      responseSchema: z.array(person),
      providesTags: ['People'],
    }),
    addPerson: build.mutation<Person, NewPerson>({
      query: (body) => ({ url: 'people', method: 'POST', body }),
      responseSchema: person,
      invalidatesTags: ['People', 'Bay', 'Day', 'Job'],
    }),
    changePerson: build.mutation<Person, { id: PersonId; change: PersonChange }>({
      query: ({ id, change }) => ({ url: `people/${encodeURIComponent(id)}`, method: 'PATCH', body: change }),
      responseSchema: person,
      invalidatesTags: ['People', 'Bay', 'Day', 'Job', 'Record'],
    }),
    addFilm: build.mutation<Film, NewFilm>({
      query: (body) => ({ url: 'films', method: 'POST', body }),
      responseSchema: filmDoc,
      invalidatesTags: ['Shelf'],
    }),
  }),
})

export const {
  useChangeShopMutation,
  useOpenShopMutation,
  usePeopleQuery,
  useAddPersonMutation,
  useChangePersonMutation,
  useAddFilmMutation,
} = shopApi
