import type { GapReading } from '@truelay/contract'
import { measuredGaps, type PartPlan } from '@truelay/core/plan'

/** The measured gaps as the picture shows them, by check point. */
export function readingsShown(
  plan: Pick<PartPlan, 'checks' | 'gapToleranceMm' | 'edges'>,
  readings: readonly GapReading[] | undefined,
  length: (mm: number) => string,
) {
  return Object.fromEntries(
    measuredGaps(plan, readings ?? []).map(({ check, measuredMm, right }) => [
      check.id,
      { text: length(Math.abs(measuredMm)), good: right },
    ]),
  )
}
