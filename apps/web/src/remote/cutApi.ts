import {
  type FilmOfJob,
  filmOfJob,
  jobBundle,
  type JobBundle,
  type KitCheck,
  kitCheck,
  type CutDone,
  type CutDraft,
  cutDone,
  type DeviceReading,
  type JobId,
} from '@truelay/contract'
import { z } from 'zod'
import { api } from './api.ts'
import { deviceReading } from './deviceReading.ts'

/** A job with what was counted of its kits. */
export interface JobToCut {
  readonly bundle: JobBundle
  readonly check: KitCheck
}

/** The plotter, and what it is sent. */
export const cutApi = api.injectEndpoints({
  endpoints: (build) => ({
    plotter: build.query<DeviceReading<'plotter'>, void>(deviceReading('plotter', 'Plotter')),
    cuts: build.query<CutDone[], JobId>({
      query: (jobId) => `jobs/${encodeURIComponent(jobId)}/cuts`,
      responseSchema: z.array(cutDone),
      providesTags: ['Stock'],
    }),
    /** The film that went into a job. */
    filmOfJob: build.query<FilmOfJob, JobId>({
      query: (jobId) => `jobs/${encodeURIComponent(jobId)}/film`,
      responseSchema: filmOfJob,
      providesTags: ['Stock'],
    }),
    /** Other jobs whose pieces may be cut together with one, with what they have already. */
    jobsToCut: build.query<JobToCut[], readonly JobId[]>({
      async queryFn(ids, _api, _extra, ask) {
        const found: JobToCut[] = []
        for (const id of ids) {
          const at = `jobs/${encodeURIComponent(id)}`
          const [bundle, check] = [await ask(at), await ask(`${at}/kit-check`)]
          const error = bundle.error ?? check.error
          if (error !== undefined) return { error }
          found.push({ bundle: jobBundle.parse(bundle.data), check: kitCheck.parse(check.data) })
        }
        return { data: found }
      },
      providesTags: ['Stock', 'KitCheck', 'Job'],
    }),
    sendCut: build.mutation<CutDone, { readonly jobId: JobId; readonly draft: CutDraft }>({
      query: ({ jobId, draft }) => ({ url: `jobs/${encodeURIComponent(jobId)}/cuts`, method: 'POST', body: draft }),
      responseSchema: cutDone,
      invalidatesTags: ['KitCheck', 'Record', 'Plotter', 'Stock'],
    }),
  }),
})

export const { useFilmOfJobQuery, useJobsToCutQuery, useCutsQuery, usePlotterQuery, useSendCutMutation } = cutApi
