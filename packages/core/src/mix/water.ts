/** What water a batch is mixed from. */
export type WaterKind = 'distilled' | 'soft tap' | 'hard tap'
export const waterKinds: readonly WaterKind[] = ['distilled', 'soft tap', 'hard tap']

/** What to know about a water, in one sentence; null where there is nothing. */
export function waterWarning(kind: WaterKind, soapMlPerL: number): string | null {
  if (kind === 'distilled') return null
  if (kind === 'soft tap') return 'Tap water differs from day to day: distilled water gives the same slip everywhere.'
  return soapMlPerL > 0
    ? 'Hard water binds soap: it foams and slides less than the figure says, and leaves spots. Distilled water is better.'
    : 'Hard water leaves spots under film. Distilled water is better.'
}
