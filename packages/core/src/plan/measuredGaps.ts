import { type Correction, correctionFromGaps } from '../align/index.ts'
import type { Result } from '../result/index.ts'
import type { CheckPoint, PartPlan } from './partPlan.ts'

/** A gap as it was read at a check point of the plan. */
export interface MeasuredGap {
  readonly check: CheckPoint
  /** Signed as margins are: negative where film passes the edge. */
  readonly measuredMm: number
  readonly right: boolean
}

/** Readings with their check points; readings of points that the plan does not have are left out. */
export function measuredGaps(
  plan: Pick<PartPlan, 'checks' | 'gapToleranceMm'>,
  readings: readonly { readonly checkId: string; readonly measuredMm: number }[],
): MeasuredGap[] {
  return readings.flatMap(({ checkId, measuredMm }) => {
    const check = plan.checks.find((c) => c.id === checkId)
    if (check === undefined) return []
    return [{ check, measuredMm, right: Math.abs(measuredMm - check.wantedMm) <= plan.gapToleranceMm + 1e-9 }]
  })
}

/** The move and turn that those gaps ask for. Can be refused as `correctionFromGaps` can. */
export const correctionFor = (gaps: readonly MeasuredGap[], sigmaMm: number): Result<Correction> =>
  correctionFromGaps(
    gaps.map(({ check, measuredMm }) => ({
      at: check.at,
      normal: check.normal,
      measuredMm,
      wantedMm: check.wantedMm,
      sigmaMm,
    })),
  )
