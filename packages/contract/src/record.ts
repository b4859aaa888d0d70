import { z } from 'zod'
import { job, part } from './job.ts'
import { moment } from './ids.ts'
import { filmDoc } from './shelf.ts'
import { finding } from './walkRound.ts'

/** Everything that is kept of a fitted part. */
export const partRecord = z.strictObject({
  job,
  part,
  film: filmDoc.pick({ id: true, name: true, type: true }),
  kit: z.string(),
  piece: z.string(),
  lot: z.string(),
  found: z.array(finding.pick({ kind: true, note: true, later: true })),
  state: z.enum(['not begun', 'fitting', 'finished']),
  startedAt: moment.nullable(),
  finishedAt: moment.nullable(),
  schools: z.array(z.strictObject({ question: z.string(), choice: z.string() })),
  batches: z.array(
    z.strictObject({
      number: z.string(),
      says: z.string(),
      batchMl: z.number(),
      alcoholPercent: z.number(),
      soapMlPerL: z.number(),
      at: moment,
      by: z.string(),
    }),
  ),
  /** What was in hand, bottle by bottle. */
  bottles: z.array(
    z.strictObject({
      number: z.string(),
      says: z.string(),
      use: z.enum(['slip', 'tack']),
      asPlanned: z.boolean(),
      at: moment,
      by: z.string(),
    }),
  ),
  /** The air that waits were worked out for. */
  air: z.array(
    z.strictObject({
      at: moment,
      roomC: z.number(),
      humidityPercent: z.number(),
      source: z.string(),
      minutes: z.number(),
    }),
  ),
  blades: z.strictObject({ segments: z.number().int(), cutMm: z.number() }),
  steps: z.array(
    z.strictObject({
      headline: z.string(),
      phase: z.string(),
      at: moment,
      by: z.string(),
      earlySeconds: z.number().nullable(),
    }),
  ),
  stepsTotal: z.number().int(),
  gaps: z.array(
    z.strictObject({
      at: moment,
      by: z.string(),
      readings: z.array(z.strictObject({ label: z.string(), wantedMm: z.number(), measuredMm: z.number() })),
      withinTolerance: z.boolean(),
      words: z.string(),
    }),
  ),
  gapToleranceMm: z.number().nullable(),
  problems: z.array(
    z.strictObject({
      problem: z.string(),
      place: z.string(),
      during: z.string(),
      comeBack: z.boolean(),
      at: moment,
      by: z.string(),
    }),
  ),
  aftercare: z.array(z.string()),
  light: z.string().nullable(),
})
export type PartRecord = z.infer<typeof partRecord>
