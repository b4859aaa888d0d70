import { say, type Sentence } from '../say/index.ts'

/** What water a batch is mixed from. */
export const waterKinds = ['distilled', 'soft tap', 'hard tap'] as const
export type WaterKind = (typeof waterKinds)[number]

export const waterWords: Readonly<Record<WaterKind, Sentence>> = {
  distilled: say`distilled`,
  'soft tap': say`soft tap`,
  'hard tap': say`hard tap`,
}

/** What to know about a water, in one sentence; null where there is nothing. */
export function waterWarning(kind: WaterKind, soapMlPerL: number): Sentence | null {
  if (kind === 'distilled') return null
  if (kind === 'soft tap')
    return say`Tap water differs from day to day: distilled water gives the same slip everywhere.`
  return soapMlPerL > 0
    ? say`Hard water binds soap: it foams and slides less than the figure says, and leaves spots. Distilled water is better.`
    : say`Hard water leaves spots under film. Distilled water is better.`
}
