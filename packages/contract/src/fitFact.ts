import type { FitFact, FitTaught } from '@truelay/core/memory'
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

/** What all finished fits of the shop teach, the oldest first. */
export const fitFacts = z.strictObject({ facts: z.array(fitFact) })
export type FitFacts = z.infer<typeof fitFacts>
