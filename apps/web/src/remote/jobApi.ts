import { type ChosenOrder, withChange, type WorkChange } from '@truelay/core/plan'
import {
  type FormId,
  type JobBundle,
  type JobId,
  type Part,
  type PartId,
  type PieceId,
  type Shift,
  type PartSet,
  jobBundle,
  part,
  partSets,
} from '@truelay/contract'
import { api } from './api.ts'

const at = encodeURIComponent

/** A job, and what is chosen for its parts. */
export const jobApi = api.injectEndpoints({
  endpoints: (build) => ({
    job: build.query<JobBundle, JobId>({
      query: (id) => `jobs/${at(id)}`,
      responseSchema: jobBundle,
      providesTags: (_job, _error, id) => [{ type: 'Job', id }],
    }),
    saveOrder: build.mutation<Part, { jobId: JobId; partId: PartId; chosen: ChosenOrder | null }>({
      query: ({ partId, chosen }) => ({ url: `parts/${at(partId)}/order`, method: 'PUT', body: { chosen } }),
      responseSchema: part,
      invalidatesTags: ['Job', 'Bay', 'Day'],
    }),
    saveChoices: build.mutation<Part, { jobId: JobId; partId: PartId; change: WorkChange }>({
      query: ({ partId, change }) => ({ url: `parts/${at(partId)}/choices`, method: 'PATCH', body: change }),
      responseSchema: part,
      invalidatesTags: ['Job', 'Bay', 'Day'],
      // Shown at once.
      async onQueryStarted({ jobId, partId, change }, { dispatch, queryFulfilled }) {
        const shown = dispatch(
          jobApi.util.updateQueryData('job', jobId, (draft) => {
            const chosen = draft.parts.find((p) => p.id === partId)
            if (chosen !== undefined) Object.assign(chosen, { choices: withChange(chosen.choices, change) })
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
          jobApi.util.updateQueryData('job', jobId, (draft) => {
            const index = draft.parts.findIndex((p) => p.id === partId)
            if (index >= 0) draft.parts[index] = data
          }),
        )
      },
    }),
    takeForm: build.mutation<Part, { partId: PartId; formId: FormId }>({
      query: ({ partId, formId }) => ({ url: `parts/${at(partId)}/form`, method: 'PUT', body: { formId } }),
      responseSchema: part,
      invalidatesTags: ['Job'],
    }),
    takePiece: build.mutation<Part, { partId: PartId; pieceId: PieceId | null }>({
      query: ({ partId, pieceId }) => ({ url: `parts/${at(partId)}/piece`, method: 'PUT', body: { pieceId } }),
      responseSchema: part,
      invalidatesTags: ['Job'],
    }),
  }),
})

export const {
  useJobQuery,
  useSaveOrderMutation,
  useSaveChoicesMutation,
  useSaveSetsMutation,
  useSaveShiftMutation,
  useTakeFormMutation,
  useTakePieceMutation,
} = jobApi
