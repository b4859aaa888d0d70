import type { HeatUse } from '@truelay/core/plan'
import { say, type Sentence } from '@truelay/core/say'

/** What heat is used for, as a title. */
export const heatUseWords: Readonly<Record<HeatUse, Sentence>> = {
  soften: say`Soften`,
  seal: say`Seal`,
  'post-heat': say`Post-heat`,
}
