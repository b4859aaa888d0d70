import { z } from 'zod'
import { defineFitEvent, eventOfStep } from '../defineFitEvent.ts'
import { logged } from '../fitState.ts'

export const gapReading = z.strictObject({
  checkId: z.string().min(1).max(8),
  measuredMm: z.number().min(-120).max(120),
})
export type GapReading = z.infer<typeof gapReading>

/** Gaps were read with a rule, at two or more check points of the plan. */
export const gapsMeasured = defineFitEvent({
  schema: eventOfStep('gapsMeasured', { readings: z.array(gapReading).min(2).max(8) }),
  actsOn: 'the step in hand',
  fold: logged('with its step'),
})
