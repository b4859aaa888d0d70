import type { Pull } from '@truelay/core/lay'
import type { PartPlan } from '@truelay/core/plan'
import { name, say, type Sentence } from '@truelay/core/say'

/** Where a pull goes, and whether it wants heat. */
export function pullWords(pull: Pull, plan: PartPlan): Sentence {
  const edge = plan.edges.find((e) => e.name === pull.edge)?.label.replace(/ edge$/, '') ?? pull.edge
  return pull.way === 'towards'
    ? say`${name(edge)}, outward, ${heatOfPull[pull.heat]}`
    : say`${name(edge)}, along it, ${heatOfPull[pull.heat]}`
}

/** How a pull is done. */
export const heatOfPull: Readonly<Record<Pull['heat'], Sentence>> = { cold: say`cold`, warm: say`warm` }
