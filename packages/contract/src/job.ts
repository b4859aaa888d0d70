import { z } from 'zod'
import { filmDoc, pieceDoc } from './shelf.ts'
import { filmId, formId, jobId, moment, partId, personId, pieceId } from './ids.ts'
import { formDoc } from './formDoc.ts'
import { person, shop } from './shop.ts'

/** Where the installer wants the piece, against where it was registered. */
export const pieceShift = z.strictObject({
  xMm: z.number().min(-200).max(200),
  yMm: z.number().min(-200).max(200),
  turnDeg: z.number().min(-30).max(30),
})
export type Shift = z.infer<typeof pieceShift>

export const part = z.strictObject({
  id: partId,
  jobId,
  name: z.string().min(1).max(60),
  formId,
  filmId,
  pieceId,
  shift: pieceShift,
})
export type Part = z.infer<typeof part>

export const job = z.strictObject({
  id: jobId,
  number: z.string().min(1).max(20),
  customer: z.string().min(1).max(80),
  vehicle: z.strictObject({
    model: z.string().min(1).max(80),
    kind: z.string().min(1).max(40),
    colour: z.string().max(40),
    fleetNumber: z.string().max(20),
  }),
  bay: z.string().max(20),
  /** Who fits. */
  personId,
  room: z.strictObject({ temperatureC: z.number().min(-20).max(60), humidityPercent: z.number().min(0).max(100) }),
  arrivedAt: moment,
  dueAt: moment,
})
export type Job = z.infer<typeof job>

/** A job with everything that its parts need: what a lay sheet works from, and what is exported as one file. */
export const jobBundle = z.strictObject({
  job,
  shop,
  people: z.array(person),
  parts: z.array(part).min(1).max(60),
  forms: z.array(formDoc),
  films: z.array(filmDoc),
  pieces: z.array(pieceDoc),
})
export type JobBundle = z.infer<typeof jobBundle>

/** How far a part has come, for the Bay. */
export const partProgress = z.strictObject({
  partId,
  jobId,
  name: z.string(),
  filmName: z.string(),
  state: z.enum(['waiting', 'fitting', 'done']),
  stepsDone: z.number().int().min(0),
  stepsTotal: z.number().int().min(0),
  nextStep: z.string().nullable(),
  /** When the running wait is over. */
  readyAt: moment.nullable(),
  startedAt: moment.nullable(),
  finishedAt: moment.nullable(),
})
export type PartProgress = z.infer<typeof partProgress>

export const bay = z.strictObject({
  shop,
  people: z.array(person),
  jobs: z.array(z.strictObject({ job, parts: z.array(partProgress) })),
})
export type Bay = z.infer<typeof bay>
