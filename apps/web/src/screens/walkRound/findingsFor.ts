import { type FindingKind, findingKinds, findingMeanings } from '@truelay/core/plan'

const isLensPlace = (slot: string) => /lamp|strip/.test(slot)

/** The kinds of finding that a place can have, those of its material first. */
export function kindsFor(slot: string): readonly FindingKind[] {
  const lens = isLensPlace(slot)
  const fits = (kind: FindingKind) => {
    const { only } = findingMeanings[kind]
    return only === undefined || (only === 'lens') === lens
  }
  const own = (kind: FindingKind) => findingMeanings[kind].only !== undefined
  return findingKinds.filter(fits).sort((a, b) => Number(own(b)) - Number(own(a)))
}

/** Sizes that are tapped instead of typed, mm. */
export const handySizesMm = [2, 5, 10, 25, 50, 100, 250] as const
