import { type FitFact, type FitTaught, pullsMade } from '@truelay/core/memory'
import { mirrors } from '@truelay/core/schema'
import { z } from 'zod'
import { filmId, modelId, moment, partId, personId, pieceId } from './ids.ts'

const reading = z.strictObject({ value: z.number(), sigma: z.number().positive() })

/** What one fit teaches, by itself; kept beside its log. */
export const fitTaught = z.strictObject({
  offset: z.strictObject({ xMm: reading.nullable(), yMm: reading.nullable(), turnDeg: reading.nullable() }).nullable(),
  fingersAt: z.array(z.string().max(80)).max(200),
  faults: z.array(z.string().max(40)).max(200),
  pace: z.number().positive().nullable(),
  heat: z
    .array(z.strictObject({ use: z.string().max(20), offC: z.number().min(-300).max(300) }))
    .max(60)
    .optional(),
  pulls: z
    .array(z.strictObject({ place: z.string().max(80), needed: z.enum(pullsMade) }))
    .max(60)
    .optional(),
  cured: z.array(z.string().max(40)).max(200).optional(),
  laidAgain: z.number().int().min(0),
})
mirrors<FitTaught>()(fitTaught)

/** The same with what it was a fit of. */
export const fitFact = fitTaught.extend({
  partId,
  at: moment,
  modelId,
  slot: z.string(),
  pieceId: pieceId.nullable(),
  body: z.string(),
  hand: personId,
  filmId,
})
mirrors<FitFact>()(fitFact)

/** What fits teach, as one file between shops. */
export const factsFile = z.strictObject({ facts: z.array(fitFact).max(20_000) })

/** The same as it is brought in, called by where it comes from. */
export const factsBorrowed = factsFile.extend({ says: z.string().trim().min(1).max(80) })
export type FactsBorrowed = z.infer<typeof factsBorrowed>

/** What was fitted before some moment at a place of a model teaches nothing any more. */
const factsForgotten = z.strictObject({ modelId, slot: z.string().min(1).max(40), at: moment })
/** Forgets what was fitted there until now, or takes that back. */
export const toForgetFacts = factsForgotten.omit({ at: true }).extend({ forgotten: z.boolean() })
export type ToForgetFacts = z.infer<typeof toForgetFacts>

/** What all finished fits teach, the oldest first: those of the shop, and what was brought in. */
export const fitFacts = z.strictObject({
  facts: z.array(fitFact),
  borrowed: z.array(z.strictObject({ id: z.uuid(), says: z.string(), broughtAt: moment, facts: z.number().int() })),
  forgotten: z.array(factsForgotten),
})
export type FitFacts = z.infer<typeof fitFacts>
