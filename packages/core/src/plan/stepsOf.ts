import type { PlanContext, PlanStep } from './planTypes.ts'
import { planRules } from './rules/index.ts'
import { barsHeat, finishStep } from './rules/rule.ts'

/** The steps of a part: every rule whose condition holds, in the order of the work. */
export function stepsOf(context: PlanContext): PlanStep[] {
  const steps = planRules.filter((rule) => rule.when(context)).flatMap((rule) => rule.steps(context).map(finishStep))
  return barsHeat(context) ? withoutHeat(steps) : steps
}

const heatTools = /heat gun|infra-red|steamer/

/** A damaged lens: steps that are only heat are left out, the others are done cold and say so. */
function withoutHeat(steps: readonly PlanStep[]): PlanStep[] {
  return steps
    .filter((step) => step.phase !== 'heat' && step.id !== 'shrink-flaps')
    .map((step) => {
      const tools = step.inHand.filter((tool) => !heatTools.test(tool))
      if (tools.length === step.inHand.length) return step
      return {
        ...step,
        inHand: tools,
        cautions: ['Cold: no heat on this lens, it is damaged.'],
        because: step.because ?? 'Walk-round: damaged lens, so it is done cold.',
      }
    })
}
