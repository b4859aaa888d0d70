import { visitPlan } from '@truelay/core/lastLook'
import type { LaidStage, PartPlan } from '@truelay/core/plan'
import type { PartId } from '../ids.ts'
import type { Begun } from './fitState.ts'
import { faultStageOf, openProblems, type Problem } from './problems.ts'

/** A come-back visit to a part, as it begins. */
export interface Visit {
  readonly plan: PartPlan
  /** What was left open, to be come back to now. */
  readonly open: readonly Problem[]
}

/** After days film has bonded, however far the hands had come. */
const stages: Readonly<Record<ReturnType<typeof faultStageOf>, LaidStage>> = {
  wet: 'bonded',
  tacked: 'bonded',
  bonded: 'bonded',
  heated: 'heated',
  cut: 'cut',
}

/** The visit to a part from how its fit ended. */
export function visitOf(partId: PartId, laid: Begun): Visit {
  const open = openProblems(laid)
  return { plan: visitPlan({ partId, plan: laid.plan, stage: stages[faultStageOf(laid)], open }), open }
}

/** The visit to a part that went out before there was a log of it: by the plan that it would have had. */
export const visitWithoutLog = (partId: PartId, plan: PartPlan): Visit => ({
  plan: visitPlan({ partId, plan, stage: 'cut', open: [] }),
  open: [],
})
