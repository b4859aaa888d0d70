import type { PlanContext, PlanStep } from './planTypes.ts'
import { planRules } from './rules/index.ts'
import { finishStep } from './rules/rule.ts'

/** The steps of a part: every rule whose condition holds, in the order of the work. */
export const stepsOf = (context: PlanContext): PlanStep[] =>
  planRules.filter((rule) => rule.when(context)).flatMap((rule) => rule.steps(context).map(finishStep))
