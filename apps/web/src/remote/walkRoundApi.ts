import {
  jobId,
  type Finding,
  type FindingDraft,
  type JobId,
  type SignOff,
  type SignOffDraft,
  type WalkRound,
  finding,
  signOff,
  walkRound,
} from '@truelay/contract'
import { api } from './api.ts'
import type { Shows } from './baseQuery.ts'

const at = encodeURIComponent

/** The walk-round of a write's job, as it now stands here. */
const walkShown: Shows = (url, state) => {
  const [, id = ''] = url.split('/').map(decodeURIComponent)
  const { data } = walkRoundApi.endpoints.walkRound.select(jobId.parse(id))(state as never)
  return data === undefined ? null : { url: `jobs/${at(id)}/walk-round`, data }
}

/** What is found on a vehicle before work, and who signed for it. */
export const walkRoundApi = api.injectEndpoints({
  endpoints: (build) => ({
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
      extraOptions: {
        keeping: {
          what: 'finding',
          // Whether it came after the signature is said by what is shown already.
          answer: (url, body) => {
            const [, jobId, , id] = url.split('/').map(decodeURIComponent)
            return { ...(body as object), id, jobId, later: false }
          },
          shows: walkShown,
        },
      },
      invalidatesTags: (_finding, _error, { jobId }) => [
        { type: 'WalkRound', id: jobId },
        { type: 'Job', id: jobId },
        'Record',
      ],
      async onQueryStarted({ jobId, finding: draft }, { dispatch, queryFulfilled }) {
        const shown = dispatch(
          walkRoundApi.util.updateQueryData('walkRound', jobId, (walk) => {
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
      extraOptions: { keeping: { what: 'finding taken away', answer: () => null, shows: walkShown } },
      async onQueryStarted({ jobId, findingId }, { dispatch, queryFulfilled }) {
        const shown = dispatch(
          walkRoundApi.util.updateQueryData('walkRound', jobId, (walk) => {
            walk.findings = walk.findings.filter((f) => f.id !== findingId)
          }),
        )
        await queryFulfilled.catch(() => shown.undo())
      },
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
  }),
})

export const { useWalkRoundQuery, useSaveFindingMutation, useRemoveFindingMutation, useSignOffMutation } = walkRoundApi
