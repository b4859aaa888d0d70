import { say } from '@truelay/core/say'
import { z } from 'zod'
import { asIssue, nothingSaid, saysSomething } from './failure.ts'
import { filmId, moment, modelId, partId, personId } from './ids.ts'

/** A part to be covered, as it is chosen. */
export const newPart = z.strictObject({ slot: z.string().min(1).max(40), name: z.string().min(1).max(60), filmId })
export type NewPart = z.infer<typeof newPart>

const head = z.strictObject({
  customer: z.string().trim().min(1).max(80),
  year: z.number().int().min(1950).max(2100).nullable(),
  colour: z.string().trim().max(40),
  plate: z.string().trim().min(1).max(20),
  bay: z.string().trim().max(20),
  personId,
})

const leavesLater = ({ arrivesAt, dueAt }: { readonly arrivesAt: string; readonly dueAt: string }) =>
  new Date(dueAt) > new Date(arrivesAt)
const tooEarly = { ...asIssue(say`the vehicle must leave after it has come`), path: ['dueAt'] }

/** A job as it is taken in at the desk. */
export const newJob = head
  .extend({ modelId, arrivesAt: moment, dueAt: moment, parts: z.array(newPart).min(1).max(60) })
  .refine(leavesLater, tooEarly)
export type NewJob = z.infer<typeof newJob>

/** A come-back visit to parts that were laid before. */
export const newVisit = z
  .strictObject({ personId, arrivesAt: moment, dueAt: moment, partIds: z.array(partId).min(1).max(60) })
  .refine(leavesLater, tooEarly)
export type NewVisit = z.infer<typeof newVisit>

/** What was taken down wrongly, or has changed since. */
export const jobCorrection = head
  .extend({ arrivedAt: moment, dueAt: moment })
  .partial()
  .refine(saysSomething, nothingSaid)
export type JobCorrection = z.infer<typeof jobCorrection>
