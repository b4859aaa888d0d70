import type { ChosenOrder } from '@truelay/core/plan'
import {
  type ArrivedDraft,
  type ArrivedPiece,
  arrivedPiece,
  type Bay,
  bay,
  type Finding,
  type FindingDraft,
  type FitEvent,
  type FitLog,
  type FitReceipt,
  type Form,
  type FormId,
  finding,
  fitLog,
  fitReceipt,
  formDoc,
  type Job,
  type JobBundle,
  type JobId,
  job,
  jobBundle,
  type Kit,
  type KitCheck,
  kitCheck,
  kitDoc,
  type NewJob,
  type NewModel,
  type Part,
  type PartId,
  type PartRecord,
  type Piece,
  type PieceId,
  part,
  partRecord,
  pieceDoc,
  type Shelf,
  type Shift,
  type Shop,
  type ShopChange,
  type SignOff,
  type SignOffDraft,
  shelf,
  shop,
  signOff,
  type VehicleModel,
  vehicleModel,
  type WalkRound,
  walkRound,
  type Film,
  filmDoc,
  type PartSet,
  partSets,
} from '@truelay/contract'
import { createApi } from '@reduxjs/toolkit/query/react'
import { z } from 'zod'

import { baseQuery } from './baseQuery.ts'

const at = encodeURIComponent

/** What an answer of the server is about. */
export const tagTypes = [
  'Bay',
  'Job',
  'Fit',
  'Record',
  'Shop',
  'Models',
  'WalkRound',
  'KitCheck',
  'Forms',
  'Shelf',
  'Liquids',
  'Blades',
  'Room',
  'Devices',
  'Learned',
  'Backups',
] as const

/** Everything that comes from the server; each answer is checked against its schema. */
export const api = createApi({
  reducerPath: 'remote',
  baseQuery,
  tagTypes,
  endpoints: (build) => ({
    bay: build.query<Bay, void>({ query: () => 'bay', responseSchema: bay, providesTags: ['Bay'] }),
    job: build.query<JobBundle, JobId>({
      query: (id) => `jobs/${at(id)}`,
      responseSchema: jobBundle,
      providesTags: (_job, _error, id) => [{ type: 'Job', id }],
    }),
    addJob: build.mutation<Job, NewJob>({
      query: (body) => ({ url: 'jobs', method: 'POST', body }),
      responseSchema: job,
      invalidatesTags: ['Bay'],
    }),
    models: build.query<VehicleModel[], void>({
      query: () => 'models',
      responseSchema: z.array(vehicleModel),
      providesTags: ['Models'],
    }),
    addModel: build.mutation<VehicleModel, NewModel>({
      query: (body) => ({ url: 'models', method: 'POST', body }),
      responseSchema: vehicleModel,
      invalidatesTags: ['Models'],
    }),
    walkRound: build.query<WalkRound, JobId>({
      query: (id) => `jobs/${at(id)}/walk-round`,
      responseSchema: walkRound,
      providesTags: (_walk, _error, id) => [{ type: 'WalkRound', id }],
    }),
    saveFinding: build.mutation<Finding, { jobId: JobId; finding: FindingDraft }>({
      query: ({ jobId, finding: { id, ...body } }) => ({
        url: `jobs/${at(jobId)}/findings/${id}`,
        method: 'PUT',
        body,
      }),
      responseSchema: finding,
      invalidatesTags: (_finding, _error, { jobId }) => [
        { type: 'WalkRound', id: jobId },
        { type: 'Job', id: jobId },
        'Record',
      ],
      async onQueryStarted({ jobId, finding: draft }, { dispatch, queryFulfilled }) {
        const shown = dispatch(
          api.util.updateQueryData('walkRound', jobId, (walk) => {
            const whole = { ...draft, jobId, later: walk.signOff !== null }
            const index = walk.findings.findIndex((f) => f.id === draft.id)
            if (index >= 0) walk.findings[index] = whole
            else walk.findings.push(whole)
          }),
        )
        await queryFulfilled.catch(() => shown.undo())
      },
    }),
    removeFinding: build.mutation<unknown, { jobId: JobId; findingId: string }>({
      query: ({ jobId, findingId }) => ({ url: `jobs/${at(jobId)}/findings/${findingId}`, method: 'DELETE' }),
      invalidatesTags: (_finding, _error, { jobId }) => [
        { type: 'WalkRound', id: jobId },
        { type: 'Job', id: jobId },
        'Record',
      ],
    }),
    signOff: build.mutation<SignOff, { jobId: JobId; draft: SignOffDraft }>({
      query: ({ jobId, draft }) => ({ url: `jobs/${at(jobId)}/sign-off`, method: 'PUT', body: draft }),
      responseSchema: signOff,
      invalidatesTags: (_sign, _error, { jobId }) => [
        { type: 'WalkRound', id: jobId },
        { type: 'Job', id: jobId },
      ],
    }),
    kitCheck: build.query<KitCheck, JobId>({
      query: (id) => `jobs/${at(id)}/kit-check`,
      responseSchema: kitCheck,
      providesTags: (_check, _error, id) => [{ type: 'KitCheck', id }],
    }),
    saveArrived: build.mutation<ArrivedPiece, { jobId: JobId; pieceId: PieceId; draft: ArrivedDraft }>({
      query: ({ jobId, pieceId, draft }) => ({
        url: `jobs/${at(jobId)}/kit-check/${at(pieceId)}`,
        method: 'PUT',
        body: draft,
      }),
      responseSchema: arrivedPiece,
      invalidatesTags: (_arrived, _error, { jobId }) => [{ type: 'KitCheck', id: jobId }, 'Record'],
      async onQueryStarted({ jobId, pieceId, draft }, { dispatch, queryFulfilled }) {
        const shown = dispatch(
          api.util.updateQueryData('kitCheck', jobId, (check) => {
            const whole = { ...draft, pieceId, at: new Date().toISOString() }
            const index = check.arrived.findIndex((a) => a.pieceId === pieceId)
            if (index >= 0) check.arrived[index] = whole
            else check.arrived.push(whole)
          }),
        )
        await queryFulfilled.catch(() => shown.undo())
      },
    }),
    forms: build.query<Form[], void>({
      query: () => 'forms',
      responseSchema: z.array(formDoc),
      providesTags: ['Forms'],
    }),
    saveForm: build.mutation<Form, Form>({
      query: (form) => ({ url: `forms/${at(form.id)}`, method: 'PUT', body: form }),
      responseSchema: formDoc,
      invalidatesTags: ['Forms', 'Job'],
    }),
    takeForm: build.mutation<Part, { partId: PartId; formId: FormId }>({
      query: ({ partId, formId }) => ({ url: `parts/${at(partId)}/form`, method: 'PUT', body: { formId } }),
      responseSchema: part,
      invalidatesTags: ['Job'],
    }),
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
    takePiece: build.mutation<Part, { partId: PartId; pieceId: PieceId | null }>({
      query: ({ partId, pieceId }) => ({ url: `parts/${at(partId)}/piece`, method: 'PUT', body: { pieceId } }),
      responseSchema: part,
      invalidatesTags: ['Job'],
    }),
    fit: build.query<FitLog, PartId>({
      query: (id) => `parts/${at(id)}/fit`,
      responseSchema: fitLog,
      providesTags: (_log, _error, id) => [{ type: 'Fit', id }],
    }),
    sendFitEvents: build.mutation<FitReceipt, { partId: PartId; events: readonly FitEvent[] }>({
      query: ({ partId, events }) => ({ url: `parts/${at(partId)}/fit`, method: 'POST', body: events }),
      responseSchema: fitReceipt,
      invalidatesTags: ['Bay', 'Record', 'Liquids', 'Blades'],
    }),
    record: build.query<PartRecord, PartId>({
      query: (id) => `parts/${at(id)}/record`,
      responseSchema: partRecord,
      providesTags: ['Record'],
    }),
    shop: build.query<Shop, void>({ query: () => 'shop', responseSchema: shop, providesTags: ['Shop'] }),
    changeShop: build.mutation<Shop, ShopChange>({
      query: (change) => ({ url: 'shop', method: 'PATCH', body: change }),
      responseSchema: shop,
      invalidatesTags: ['Shop', 'Job', 'Bay', 'Record'],
    }),
    saveOrder: build.mutation<Part, { jobId: JobId; partId: PartId; chosen: ChosenOrder | null }>({
      query: ({ partId, chosen }) => ({ url: `parts/${at(partId)}/order`, method: 'PUT', body: { chosen } }),
      responseSchema: part,
      invalidatesTags: ['Job', 'Bay'],
    }),
    saveChoices: build.mutation<Part, { jobId: JobId; partId: PartId; choices: Part['choices'] }>({
      query: ({ partId, choices }) => ({ url: `parts/${at(partId)}/choices`, method: 'PUT', body: choices }),
      responseSchema: part,
      invalidatesTags: ['Job', 'Bay'],
      // Shown at once: a second choice right after it is made on top of the first.
      async onQueryStarted({ jobId, partId, choices }, { dispatch, queryFulfilled }) {
        const shown = dispatch(
          api.util.updateQueryData('job', jobId, (draft) => {
            const chosen = draft.parts.find((p) => p.id === partId)
            if (chosen !== undefined) Object.assign(chosen, { choices })
          }),
        )
        await queryFulfilled.catch(() => shown.undo())
      },
    }),
    saveSets: build.mutation<PartSet[], { jobId: JobId; sets: readonly PartSet[] }>({
      query: ({ jobId, sets }) => ({ url: `jobs/${at(jobId)}/sets`, method: 'PUT', body: { sets } }),
      responseSchema: partSets,
      invalidatesTags: ['Job'],
    }),
    saveShift: build.mutation<Part, { jobId: JobId; partId: PartId; shift: Shift }>({
      query: ({ partId, shift }) => ({ url: `parts/${at(partId)}/shift`, method: 'PUT', body: shift }),
      responseSchema: part,
      async onQueryStarted({ jobId, partId }, { dispatch, queryFulfilled }) {
        const { data } = await queryFulfilled
        dispatch(
          api.util.updateQueryData('job', jobId, (draft) => {
            const index = draft.parts.findIndex((p) => p.id === partId)
            if (index >= 0) draft.parts[index] = data
          }),
        )
      },
    }),
  }),
})

export const {
  useBayQuery,
  useJobQuery,
  useAddJobMutation,
  useModelsQuery,
  useAddModelMutation,
  useWalkRoundQuery,
  useSaveFindingMutation,
  useRemoveFindingMutation,
  useSignOffMutation,
  useKitCheckQuery,
  useSaveArrivedMutation,
  useFormsQuery,
  useSaveChoicesMutation,
  useSaveFormMutation,
  useTakeFormMutation,
  useShelfQuery,
  useSaveKitMutation,
  useSavePieceMutation,
  useTakePieceMutation,
  useFitQuery,
  useRecordQuery,
  useShopQuery,
  useChangeShopMutation,
  useSaveFilmMutation,
  useSaveOrderMutation,
  useSaveSetsMutation,
  useSaveShiftMutation,
} = api
