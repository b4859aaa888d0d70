import {
  type Forgotten,
  forgotten,
  type Job,
  type JobCorrection,
  type JobId,
  type JobList,
  type JobSearch,
  job,
  jobList,
  type NewPart,
  type Part,
  type PartId,
  part,
  type NewJob,
  type NewVisit,
} from '@truelay/contract'
import { z } from 'zod'
import { api } from './api.ts'

const at = encodeURIComponent
const changesJob = ['Job', 'Jobs', 'Bay', 'Day', 'WalkRound', 'KitCheck', 'Record', 'Liquids'] as const

/** The list of all jobs, and what can be put right about one of them. */
const jobsApi = api.injectEndpoints({
  endpoints: (build) => ({
    addJob: build.mutation<Job, NewJob>({
      query: (body) => ({ url: 'jobs', method: 'POST', body }),
      responseSchema: job,
      invalidatesTags: ['Bay', 'Day', 'Jobs'],
    }),
    openVisit: build.mutation<Job, { id: JobId; visit: NewVisit }>({
      query: ({ id, visit }) => ({ url: `jobs/${at(id)}/visits`, method: 'POST', body: visit }),
      responseSchema: job,
      invalidatesTags: ['Bay', 'Day', 'Jobs'],
    }),
    jobs: build.query<JobList, JobSearch>({
      query: (search) => ({ url: 'jobs', params: search }),
      responseSchema: jobList,
      providesTags: ['Jobs'],
    }),
    forgetCustomer: build.mutation<Forgotten, string>({
      query: (customer) => ({ url: 'customers/forgotten', method: 'POST', body: { customer } }),
      responseSchema: forgotten,
      invalidatesTags: changesJob,
    }),
    correctJob: build.mutation<Job, { id: JobId; change: JobCorrection }>({
      query: ({ id, change }) => ({ url: `jobs/${at(id)}`, method: 'PATCH', body: change }),
      responseSchema: job,
      invalidatesTags: changesJob,
    }),
    closeJob: build.mutation<Job, { id: JobId; closed: boolean }>({
      query: ({ id, closed }) => ({ url: `jobs/${at(id)}/closed`, method: 'PUT', body: { closed } }),
      responseSchema: job,
      invalidatesTags: changesJob,
    }),
    removeJob: build.mutation<Job, { id: JobId; removed: boolean }>({
      query: ({ id, removed }) => ({ url: `jobs/${at(id)}/removed`, method: 'PUT', body: { removed } }),
      responseSchema: job,
      invalidatesTags: changesJob,
    }),
    addPart: build.mutation<Part[], { id: JobId; wish: NewPart }>({
      query: ({ id, wish }) => ({ url: `jobs/${at(id)}/parts`, method: 'POST', body: wish }),
      responseSchema: z.array(part),
      invalidatesTags: changesJob,
    }),
    dropPart: build.mutation<Part[], { id: PartId; dropped: boolean }>({
      query: ({ id, dropped }) => ({ url: `parts/${at(id)}/dropped`, method: 'PUT', body: { dropped } }),
      responseSchema: z.array(part),
      invalidatesTags: changesJob,
    }),
    changeFilm: build.mutation<Part, { id: PartId; filmId: Part['filmId'] }>({
      query: ({ id, filmId }) => ({ url: `parts/${at(id)}/film`, method: 'PUT', body: { filmId } }),
      responseSchema: part,
      invalidatesTags: changesJob,
    }),
  }),
})

export const {
  useAddJobMutation,
  useOpenVisitMutation,
  useJobsQuery,
  useForgetCustomerMutation,
  useCorrectJobMutation,
  useCloseJobMutation,
  useRemoveJobMutation,
  useAddPartMutation,
  useDropPartMutation,
  useChangeFilmMutation,
} = jobsApi
