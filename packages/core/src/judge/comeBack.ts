import { say, type Sentence } from '../say/index.ts'

/** When something is come back to. */
export const comeBackTimes = ['now', 'before the cut', 'at post-heat', 'at hand-over', 'at the edge look'] as const
export type ComeBackTime = (typeof comeBackTimes)[number]
export const comeBackWords: Readonly<Record<ComeBackTime, Sentence>> = {
  now: say`now`,
  'before the cut': say`before the cut`,
  'at post-heat': say`when it is post-heated`,
  'at hand-over': say`at hand-over`,
  'at the edge look': say`when the edges are looked at`,
}
