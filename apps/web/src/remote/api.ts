import { type Bay, type Shop, type PartShape, bay, partShape, shop, type Session, session } from '@truelay/contract'
import { createApi } from '@reduxjs/toolkit/query/react'
import { z } from 'zod'

import { baseQuery } from './baseQuery.ts'

/** What an answer of the server is about. */
export const tagTypes = [
  'Bay',
  'Day',
  'Job',
  'Jobs',
  'People',
  'Fit',
  'Record',
  'Shop',
  'Models',
  'WalkRound',
  'KitCheck',
  'Forms',
  'Shelf',
  'Stock',
  'Liquids',
  'Blades',
  'Exercises',
  'Room',
  'Devices',
  'Plotter',
  'LabelPrinter',
  'Learned',
  'Backups',
  'Session',
  'Tablets',
  'Changes',
] as const

/** Everything that comes from the server; each answer is checked against its schema. */
export const api = createApi({
  reducerPath: 'remote',
  baseQuery,
  tagTypes,
  endpoints: (build) => ({
    bay: build.query<Bay, void>({ query: () => 'bay', responseSchema: bay, providesTags: ['Bay'] }),
    /** The pictures of some forms, each named as "bonnet@2". */
    shapes: build.query<PartShape[], readonly string[]>({
      query: (of) => ({ url: 'shapes', params: new URLSearchParams(of.map((one) => ['of', one])) }),
      responseSchema: z.array(partShape),
      providesTags: ['Forms'],
    }),
    /** Who is at this screen. */
    session: build.query<Session, void>({
      query: () => 'session',
      responseSchema: session,
      providesTags: ['Session'],
    }),
    shop: build.query<Shop, void>({ query: () => 'shop', responseSchema: shop, providesTags: ['Shop'] }),
  }),
})

export const { useBayQuery, useSessionQuery, useShapesQuery, useShopQuery } = api
