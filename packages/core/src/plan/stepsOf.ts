import type { PlanContext } from './planContext.ts'
import { planRules } from './rules/index.ts'
import { finishStep } from './rules/rule.ts'
import type { PlanStep } from './step.ts'

/** The steps of a part: every rule whose condition holds, in the order of the work. Nothing is taken back from a step afterwards. */
export const stepsOf = (context: PlanContext): PlanStep[] =>
  planRules.filter((rule) => rule.when(context)).flatMap((rule) => rule.steps(context).map(finishStep))
