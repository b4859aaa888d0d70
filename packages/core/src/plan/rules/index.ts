import { afterCleaningRules, beforeCleaningRules } from './findingRules.ts'
import { finishRules } from './finishRules.ts'
import { layRules } from './layRules.ts'
import { cleaningRules, readyRules } from './prepareRules.ts'
import type { PlanRule } from './rule.ts'

/** Every rule, in the order of the work. */
export const planRules: readonly PlanRule[] = [
  ...beforeCleaningRules,
  ...cleaningRules,
  ...afterCleaningRules,
  ...readyRules,
  ...layRules,
  ...finishRules,
]
