import { z } from 'zod'
import { comeBackTimes, faultKinds, pieceSources } from '@truelay/core/judge'
import { bodyKinds } from '@truelay/core/vehicle'
import { filmDoc, kitDoc, pieceDoc, pieceShift } from './shelf.ts'
import { filmId, formId, jobId, modelId, moment, partId, personId, pieceId, reckonedMoment } from './ids.ts'
import { findings, signOff } from './walkRound.ts'
import { formDoc } from './formDoc.ts'
import { chosenOrder } from './layOrder.ts'
import { sentence } from '@truelay/core/say'
import { partSets } from './partSet.ts'
import { person } from './person.ts'
import { shop } from './shop.ts'
import { workChoices } from './workChoices.ts'

const share = z.number().min(0).max(1)

export const part = z.strictObject({
  id: partId,
  jobId,
  name: z.string().min(1).max(60),
  /** Its place on the unfolded vehicle. */
  slot: z.string().min(1).max(40),
  /** Its share of that place, if several parts lie there: left, top, right, bottom, 0 to 1. */
  within: z.tuple([share, share, share, share]).optional(),
  /** Null while nobody has measured it. */
  formId: formId.nullable(),
  /** The version of the form that this part is worked from; a form that a fit has used is never changed. */
  formVersion: z.number().int().min(1).nullable(),
  filmId,
  /** Null where no pattern is at hand: cut from the roll. */
  pieceId: pieceId.nullable(),
  shift: pieceShift,
  /** The order in which it is laid; null = as the usual school says. */
  order: chosenOrder.nullable(),
  choices: workChoices,
  /** The part that was laid, where this is a come-back visit to it. */
  visitOf: partId.optional(),
})
export type Part = z.infer<typeof part>

/** Whether its film is a sheet off the roll: chosen so, or as no pattern is at hand. */
export const isOffRoll = ({ pieceId, choices }: Pick<Part, 'pieceId' | 'choices'>): boolean =>
  pieceId === null || choices.cut === 'from the roll'

export const job = z.strictObject({
  id: jobId,
  number: z.string().min(1).max(20),
  customer: z.string().min(1).max(80),
  vehicle: z.strictObject({
    modelId,
    model: z.string().min(1).max(80),
    kind: z.enum(bodyKinds),
    year: z.number().int().min(1950).max(2100).nullable(),
    colour: z.string().max(40),
    /** Number plate or fleet number: by this the vehicle is known again. */
    plate: z.string().max(20),
  }),
  bay: z.string().max(20),
  /** Who fits. */
  personId,
  room: z.strictObject({ temperatureC: z.number().min(-20).max(60), humidityPercent: z.number().min(0).max(100) }),
  arrivedAt: moment,
  dueAt: moment,
  /** When it was handed over; null while it is open. */
  closedAt: moment.nullable(),
  /** When it was taken off the list as opened by mistake; all that was done stays with it. */
  removedAt: moment.nullable(),
  /** The job that this is a come-back visit of. */
  visitOf: jobId.optional(),
})
export type Job = z.infer<typeof job>

/** A job with everything that its parts need: what a lay sheet works from, and what is exported as one file. */
export const jobBundle = z.strictObject({
  job,
  shop,
  people: z.array(person),
  parts: z.array(part).min(1).max(60),
  sets: partSets,
  forms: z.array(formDoc),
  films: z.array(filmDoc),
  pieces: z.array(pieceDoc),
  kits: z.array(kitDoc),
  findings,
  signOff: signOff.nullable(),
})
export type JobBundle = z.infer<typeof jobBundle>

/** How far the fit of a part has come; kept beside its log, so that nobody has to replay it to know. */
export const fitProgress = z.strictObject({
  state: z.enum(['waiting', 'fitting', 'done']),
  stepsDone: z.number().int().min(0),
  stepsTotal: z.number().int().min(0),
  nextStep: sentence.nullable(),
  /** When the running wait is over. */
  readyAt: reckonedMoment.nullable(),
  /** When the greatest wait before the next step is over, where one runs. */
  mustBy: reckonedMoment.optional(),
  startedAt: moment.nullable(),
  finishedAt: moment.nullable(),
  /** What is to be come back to; left out where nothing is. */
  comeBacks: z
    .array(z.strictObject({ problem: z.enum(faultKinds), place: z.string().max(80), when: z.enum(comeBackTimes) }))
    .max(60)
    .optional(),
  /** A spoilt piece is to be laid again: where the new one comes from, until it is in hand. */
  awaits: z.enum(pieceSources).optional(),
})
export type FitProgress = z.infer<typeof fitProgress>

/** How far a part has come, for the Bay. */
export const partProgress = fitProgress.extend({
  partId,
  jobId,
  name: z.string(),
  filmName: z.string(),
  ...part.pick({ formId: true, formVersion: true }).shape,
})
export type PartProgress = z.infer<typeof partProgress>

export const bay = z.strictObject({
  shop,
  people: z.array(person),
  jobs: z.array(z.strictObject({ job, parts: z.array(partProgress) })),
})
export type Bay = z.infer<typeof bay>
