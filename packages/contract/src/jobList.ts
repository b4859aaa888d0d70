import { z } from 'zod'
import { job } from './job.ts'

export const jobStates = ['open', 'closed', 'removed', 'all'] as const
export type JobState = (typeof jobStates)[number]

/** So many jobs come at once. */
export const jobsOnPage = 40

/** Which jobs are looked for. */
export const jobSearch = z.strictObject({
  /** Words of which each must be found: in plate, customer, model, number, colour, place, a lot, or a day as "2030-05-01". */
  text: z.string().trim().max(80).default(''),
  state: z.enum(jobStates).default('all'),
  /** From 1. */
  page: z.coerce.number().int().min(1).max(100_000).default(1),
  /** All that was ever done to one vehicle, by its plate. */
  plate: z.string().max(20).optional(),
  /** All that was ever done for one customer. */
  customer: z.string().max(80).optional(),
})
export type JobSearch = z.input<typeof jobSearch>

/** Whose personal data is to be taken out. */
export const toForget = z.strictObject({ customer: z.string().min(1).max(80) })
/** In how many jobs it was. */
export const forgotten = z.strictObject({ jobs: z.number().int().min(1) })
export type Forgotten = z.infer<typeof forgotten>

/** A page of jobs, the latest to arrive first. */
export const jobList = z.strictObject({
  jobs: z.array(
    z.strictObject({
      job,
      person: z.string(),
      parts: z.number().int().min(0),
      done: z.number().int().min(0),
    }),
  ),
  page: z.number().int().min(1),
  pages: z.number().int().min(1),
  total: z.number().int().min(0),
})
export type JobList = z.infer<typeof jobList>
export type ListedJob = JobList['jobs'][number]
