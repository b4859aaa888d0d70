import {
  jobId,
  type ArrivedDraft,
  type ArrivedPiece,
  type JobId,
  type KitCheck,
  type PieceId,
  arrivedPiece,
  kitCheck,
} from '@truelay/contract'
import { api } from './api.ts'
import type { Shows } from './baseQuery.ts'

const at = encodeURIComponent

/** The count of a write's job, as it now stands here. */
const checkShown: Shows = (url, state) => {
  const [, id = ''] = url.split('/').map(decodeURIComponent)
  const { data } = kitCheckApi.endpoints.kitCheck.select(jobId.parse(id))(state as never)
  return data === undefined ? null : { url: `jobs/${at(id)}/kit-check`, data }
}

/** What of a kit has arrived. */
export const kitCheckApi = api.injectEndpoints({
  endpoints: (build) => ({
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
      extraOptions: {
        keeping: {
          what: 'kit count',
          answer: (url, body) => {
            const [, , , pieceId] = url.split('/').map(decodeURIComponent)
            return { ...(body as object), pieceId, at: new Date().toISOString() }
          },
          shows: checkShown,
        },
      },
      invalidatesTags: (_arrived, _error, { jobId }) => [{ type: 'KitCheck', id: jobId }, 'Record'],
      async onQueryStarted({ jobId, pieceId, draft }, { dispatch, queryFulfilled }) {
        const shown = dispatch(
          kitCheckApi.util.updateQueryData('kitCheck', jobId, (check) => {
            const whole = { ...draft, pieceId, at: new Date().toISOString() }
            const index = check.arrived.findIndex((a) => a.pieceId === pieceId)
            if (index >= 0) check.arrived[index] = whole
            else check.arrived.push(whole)
          }),
        )
        await queryFulfilled.catch(() => shown.undo())
      },
    }),
  }),
})

export const { useKitCheckQuery, useSaveArrivedMutation } = kitCheckApi
