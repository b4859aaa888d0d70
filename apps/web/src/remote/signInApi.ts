import {
  type ChangeList,
  changeList,
  type PairDraft,
  type PairingOffer,
  type PersonId,
  type PinChoice,
  pairingOffer,
  type SignInDraft,
  type SignInName,
  signInName,
  type Tablet,
  tablet,
} from '@truelay/contract'
import { z } from 'zod'
import { api } from './api.ts'

/** Who is at this screen, which screens belong to the shop, and who changed what. */
const signInApi = api.injectEndpoints({
  endpoints: (build) => ({
    signInNames: build.query<SignInName[], void>({
      query: () => 'sign-in',
      responseSchema: z.array(signInName),
      providesTags: ['People', 'Session'],
    }),
    pair: build.mutation<unknown, PairDraft>({ query: (body) => ({ url: 'pair', method: 'POST', body }) }),
    signIn: build.mutation<unknown, SignInDraft>({ query: (body) => ({ url: 'sign-in', method: 'POST', body }) }),
    choosePin: build.mutation<unknown, PinChoice>({ query: (body) => ({ url: 'pin', method: 'PUT', body }) }),
    signOut: build.mutation<unknown, void>({ query: () => ({ url: 'sign-out', method: 'POST', body: {} }) }),
    allowNewPin: build.mutation<SignInName[], PersonId>({
      query: (id) => ({ url: `people/${encodeURIComponent(id)}/new-pin`, method: 'PUT', body: { allowed: true } }),
      responseSchema: z.array(signInName),
      invalidatesTags: ['People'],
    }),
    offerPairing: build.mutation<PairingOffer, void>({
      query: () => ({ url: 'pairing', method: 'POST', body: {} }),
      responseSchema: pairingOffer,
    }),
    tablets: build.query<Tablet[], void>({
      query: () => 'tablets',
      responseSchema: z.array(tablet),
      providesTags: ['Tablets'],
    }),
    turnAway: build.mutation<Tablet[], string>({
      query: (id) => ({ url: `tablets/${encodeURIComponent(id)}/removed`, method: 'PUT', body: { removed: true } }),
      responseSchema: z.array(tablet),
      invalidatesTags: ['Tablets'],
    }),
    changes: build.query<ChangeList, number | null>({
      query: (before) => ({ url: 'changes', params: before === null ? {} : { before } }),
      responseSchema: changeList,
      providesTags: ['Changes'],
    }),
  }),
})

export const {
  useSignInNamesQuery,
  usePairMutation,
  useSignInMutation,
  useChoosePinMutation,
  useSignOutMutation,
  useAllowNewPinMutation,
  useOfferPairingMutation,
  useTabletsQuery,
  useTurnAwayMutation,
  useChangesQuery,
} = signInApi
