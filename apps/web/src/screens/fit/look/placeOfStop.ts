import type { LookStop } from '@truelay/core/lastLook'
import type { PartPlan } from '@truelay/core/plan'
import { say, verbatim } from '@truelay/core/say'
import type { ChosenPlace } from '../wrong/WhereIsIt.tsx'

/** The place at which the walk stands, for a fault that is found there; null where it stands at no edge. */
export function placeOfStop({ edge: name }: LookStop, plan: PartPlan): ChosenPlace | null {
  const edge = plan.edges.find((one) => one.name === name)
  return edge === undefined ? null : { edge, says: say`${verbatim(edge.label)}`, at: null }
}
