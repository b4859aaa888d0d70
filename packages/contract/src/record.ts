import { phase } from '@truelay/core/plan'
import { z } from 'zod'
import { recordLines } from './fit/recordLines.ts'
import { moment } from './ids.ts'
import { job, part } from './job.ts'
import { sentence } from '@truelay/core/say'
import { filmDoc } from './shelf.ts'
import { finding } from './walkRound.ts'

/** Everything that is kept of a fitted part. */
export const partRecord = z.strictObject({
  job,
  part,
  film: filmDoc.pick({ id: true, name: true, type: true }),
  /** Null where it was cut from the roll. */
  kit: z.string().nullable(),
  piece: z.string(),
  /** Null where nobody noted it. */
  lot: z.string().nullable(),
  found: z.array(finding.pick({ kind: true, note: true, later: true, photos: true })),
  state: z.enum(['not begun', 'fitting', 'finished']),
  startedAt: moment.nullable(),
  finishedAt: moment.nullable(),
  schools: z.array(z.strictObject({ question: sentence, choice: sentence })),
  /** What its steps logged and what stands of it, by the kind of event. */
  lines: recordLines,
  steps: z.array(
    z.strictObject({
      headline: sentence,
      phase,
      at: moment,
      by: z.string(),
      earlySeconds: z.number().nullable(),
      plannedMinutes: z.number(),
      /** Null where it was interrupted. */
      workedMinutes: z.number().nullable(),
    }),
  ),
  stepsTotal: z.number().int(),
  gapToleranceMm: z.number().nullable(),
  aftercare: z.array(sentence),
  light: sentence.nullable(),
})
export type PartRecord = z.infer<typeof partRecord>
