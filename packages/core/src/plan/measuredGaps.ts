import { type Correction, correctionFromGaps } from '../align/index.ts'
import type { Result } from '../result/index.ts'
import type { CheckPoint, PartPlan } from './partPlan.ts'
import type { PlanStep } from './step.ts'

/** A gap as it was read at a check point of the plan. */
export interface MeasuredGap {
  readonly check: CheckPoint
  /** Signed as margins are: negative where film passes the edge. */
  readonly measuredMm: number
  readonly right: boolean
}

/** The plan with the check points of one step only: those that it refers to, or all where it names none. */
export function planOfStep(plan: PartPlan, step: Pick<PlanStep, 'references'> | undefined): PartPlan {
  const own = new Set(step?.references.flatMap((r) => (r.kind === 'check' ? [r.id] : [])))
  return own.size === 0 ? plan : { ...plan, checks: plan.checks.filter((check) => own.has(check.id)) }
}

type Checked = Pick<PartPlan, 'checks' | 'gapToleranceMm' | 'edges'>

/** Whether a gap may stay as it is: near its wish, or anywhere within the rule of its edge. */
export function gapIsRight({ edges, gapToleranceMm }: Checked, check: CheckPoint, gapMm: number): boolean {
  const rule = edges.find((e) => e.name === check.edge)?.rule
  const slack = 1e-9
  return (
    Math.abs(gapMm - check.wantedMm) <= gapToleranceMm + slack ||
    (rule !== undefined && gapMm >= rule.minMm - slack && gapMm <= rule.maxMm + slack)
  )
}

/** Readings with their check points; readings of points that the plan does not have are left out. */
export function measuredGaps(
  plan: Checked,
  readings: readonly { readonly checkId: string; readonly measuredMm: number }[],
): MeasuredGap[] {
  return readings.flatMap(({ checkId, measuredMm }) => {
    const check = plan.checks.find((c) => c.id === checkId)
    if (check === undefined) return []
    return [{ check, measuredMm, right: gapIsRight(plan, check, measuredMm) }]
  })
}

/** Gaps that stay wrong after a correction, by how much each is off its wish, mm. */
export const wrongAfter = (plan: Checked, gaps: readonly MeasuredGap[], { residualMm }: Correction): number[] =>
  gaps.flatMap(({ check }, i) => {
    const offMm = residualMm[i] ?? 0
    return gapIsRight(plan, check, check.wantedMm + offMm) ? [] : [Math.abs(offMm)]
  })

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
