import { faultKinds } from '@truelay/core/judge'
import { sentence } from '@truelay/core/say'
import { toldTopics } from '@truelay/core/handOver'
import { z } from 'zod'
import { jobId, moment, partId, personId, reckonedMoment } from './ids.ts'
import { finding, signOff } from './walkRound.ts'

/** The owner of a lamp has read what is left of its light. */
export const lightAcknowledged = z.strictObject({
  name: z.string().trim().min(1).max(80),
  at: moment,
  /** What was read; it stands for as long as the plan says the same. */
  says: sentence,
})
export type LightAcknowledged = z.infer<typeof lightAcknowledged>
export const lightAcknowledgedDraft = lightAcknowledged.pick({ name: true, says: true })

/** Something that was found in a fit and is left as it is, or not settled yet. */
const left = z.strictObject({
  problem: z.enum(faultKinds),
  place: z.string(),
  /** The customer takes it; else it is still to be come back to. */
  accepted: z.boolean(),
  /** Nobody hands that over. */
  stops: z.boolean(),
  at: moment,
  by: z.string(),
})

/** A part as it is handed over. */
export const handedPart = z.strictObject({
  partId,
  name: z.string(),
  film: z.string(),
  state: z.enum(['waiting', 'fitting', 'done']),
  finishedAt: moment.nullable(),
  left: z.array(left),
  /** How many stops of its last walk were looked at. */
  looked: z.number().int().min(0),
  found: z.array(finding.pick({ kind: true, note: true, later: true, photos: true })),
  /** What is left of a lamp's light behind tinted film; null where it is none, or not planned yet. */
  light: sentence.nullable(),
  acknowledged: lightAcknowledged.nullable(),
})
export type HandedPart = z.infer<typeof handedPart>

/** The job is handed over: signed by whoever took it, or nobody was there to sign. */
export const handedOver = z.strictObject({
  at: moment,
  personId,
  name: z.string().max(80),
  strokes: signOff.shape.strokes,
})
export type HandedOver = z.infer<typeof handedOver>
export const handOverDraft = handedOver.pick({ personId: true, name: true, strokes: true })
export type HandOverDraft = z.infer<typeof handOverDraft>

/** Everything that has to be known where a job is closed. */
export const handOver = z.strictObject({
  jobId,
  parts: z.array(handedPart),
  /** Null while nothing is finished. */
  told: z
    .strictObject({
      washFrom: reckonedMoment,
      edgesUntil: reckonedMoment,
      bondedAt: reckonedMoment,
      lines: z.array(z.strictObject({ about: z.enum(toldTopics), says: sentence })),
    })
    .nullable(),
  /** Why it cannot be closed, each with what to do. */
  stops: z.array(sentence),
  /** When edges are looked at again. */
  looks: z.array(z.strictObject({ at: reckonedMoment, title: sentence })),
  handedOver: handedOver.nullable(),
})
export type HandOver = z.infer<typeof handOver>
