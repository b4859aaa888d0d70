import {
  type RemovableKind,
  type RemovedThing,
  removedThings,
  type VehicleModel,
  vehicleModel,
  type WholeKit,
  wholeKit,
  type Kit,
  type Piece,
  type Shelf,
  type Film,
  kitDoc,
  pieceDoc,
  shelf,
  filmDoc,
} from '@truelay/contract'
import { z } from 'zod'
import { api } from './api.ts'

const at = encodeURIComponent

/** What is changed about the shelf and the models as a whole. */
const shelfApi = api.injectEndpoints({
  endpoints: (build) => ({
    shelf: build.query<Shelf, void>({ query: () => 'shelf', responseSchema: shelf, providesTags: ['Shelf'] }),
    saveKit: build.mutation<Kit, Kit>({
      query: (kit) => ({ url: `kits/${at(kit.id)}`, method: 'PUT', body: kit }),
      responseSchema: kitDoc,
      invalidatesTags: ['Shelf', 'Job'],
    }),
    saveFilm: build.mutation<Film, Film>({
      query: (film) => ({ url: `films/${at(film.id)}`, method: 'PUT', body: film }),
      responseSchema: filmDoc,
      invalidatesTags: ['Shelf', 'Job'],
    }),
    savePiece: build.mutation<Piece, Piece>({
      query: (piece) => ({ url: `pieces/${at(piece.id)}`, method: 'PUT', body: piece }),
      responseSchema: pieceDoc,
      invalidatesTags: ['Shelf', 'Job'],
    }),
    removeThing: build.mutation<{ removed: boolean }, { kind: RemovableKind; id: string; removed: boolean }>({
      query: ({ kind, id, removed }) => ({ url: `${kind}/${at(id)}/removed`, method: 'PUT', body: { removed } }),
      responseSchema: z.strictObject({ removed: z.boolean() }),
      invalidatesTags: ['Shelf', 'Forms', 'Models', 'Job'],
    }),
    removed: build.query<RemovedThing[], void>({
      query: () => 'removed',
      responseSchema: removedThings,
      providesTags: ['Shelf', 'Forms', 'Models'],
    }),
    saveWholeKit: build.mutation<WholeKit, WholeKit>({
      query: (body) => ({ url: `kits/${at(body.kit.id)}/whole`, method: 'PUT', body }),
      responseSchema: wholeKit,
      invalidatesTags: ['Shelf', 'Job'],
    }),
    saveModel: build.mutation<VehicleModel, VehicleModel>({
      query: (body) => ({ url: `models/${at(body.id)}`, method: 'PUT', body }),
      responseSchema: vehicleModel,
      invalidatesTags: ['Models'],
    }),
  }),
})

export const {
  useShelfQuery,
  useSaveKitMutation,
  useSaveFilmMutation,
  useSavePieceMutation,
  useRemoveThingMutation,
  useRemovedQuery,
  useSaveWholeKitMutation,
  useSaveModelMutation,
} = shelfApi
