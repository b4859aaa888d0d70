import { finishRules } from './finishRules.ts'
import { layRules } from './layRules.ts'
import { prepareRules } from './prepareRules.ts'
import type { PlanRule } from './rule.ts'

/** All rules in the order of the work. */
export const planRules: readonly PlanRule[] = [...prepareRules, ...layRules, ...finishRules]
