import { testCuts } from '@truelay/core/edges'
import { z } from 'zod'
import { moment, personId } from './ids.ts'

const common = { id: z.uuid(), at: moment, personId }

/** A stroke in the blade book; never changed, only added to. */
export const bladeEntry = z.discriminatedUnion('kind', [
  z.strictObject({ ...common, kind: z.literal('bought'), segments: z.number().int().min(1).max(10_000) }),
  z.strictObject({ ...common, kind: z.literal('segment'), where: z.string().max(80) }),
  z.strictObject({
    ...common,
    kind: z.literal('cut'),
    cutMm: z.number().positive().max(100_000),
    where: z.string().max(80),
  }),
  z.strictObject({
    ...common,
    kind: z.literal('test cut'),
    felt: z.enum(testCuts),
  }),
])
export type BladeStroke = z.infer<typeof bladeEntry>

/** The latest of the book, in order of time, cuts of the fits among it; what was bought and felt is all there. */
export const bladeLog = z.strictObject({
  /** Segments that were used before what is listed. */
  segmentsBefore: z.number().int().min(0),
  strokes: z.array(bladeEntry),
})
export type BladeLog = z.infer<typeof bladeLog>
