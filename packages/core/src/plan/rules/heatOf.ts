import type { HeatUse, PlanContext, PlannedHeat } from '../planTypes.ts'
import { barsHeat } from './rule.ts'

/** How heat of a use is given on this part; undefined where it takes none. */
export const heatOf = (c: PlanContext, use: HeatUse): PlannedHeat | undefined =>
  barsHeat(c) ? undefined : c.heat.find((h) => h.use === use)

/** The use of heat that a step carries. */
export const heated = (c: PlanContext, use: HeatUse): { heat?: HeatUse } => (heatOf(c, use) ? { heat: use } : {})

/** Where most of the time goes: "most at the left end". */
export function mostWords(c: PlanContext, use: HeatUse): string {
  const zones = heatOf(c, use)?.zones ?? []
  const [first] = zones
  if (first === undefined || zones.length < 2 || first.share < 1.25 / zones.length) return ''
  return use === 'seal'
    ? `Most at the ${first.label}: film piled up there is what lifts. `
    : `Most at ${first.kind === 'edge' ? 'the ' : ''}${first.label}: what was stretched there draws back. `
}
