/** A stroke in the blade book. */
export type BladeEntry =
  | { readonly kind: 'segment'; readonly at: string }
  | { readonly kind: 'cut'; readonly at: string; readonly cutMm: number }
  | { readonly kind: 'test cut'; readonly at: string; readonly felt: TestCut }
  | { readonly kind: 'bought'; readonly at: string; readonly segments: number }

/** How deep a test cut on scrap went: two thirds through is what tears clean. */
export const testCuts = ['too shallow', 'two thirds', 'right through'] as const
export type TestCut = (typeof testCuts)[number]

export interface BladeBook {
  /** Segments left in the shop, as far as purchases were noted. */
  readonly segmentsLeft: number
  readonly segmentsUsed: number
  /** Cut with the segment that is in the knife now, mm. */
  readonly cutWithThisMm: number
  readonly fresh: boolean
  readonly testCuts: number
  /** Share of the last ten test cuts that went two thirds through; null before the first. */
  readonly steadiness: number | null
}

const lastCuts = 10

/** What the blade book adds up to, entries in order of time; `segmentsBefore` were used before the first of them. */
export function bladeBook(entries: readonly BladeEntry[], bladeAlongMm: number, segmentsBefore = 0): BladeBook {
  let segmentsLeft = -segmentsBefore
  let segmentsUsed = segmentsBefore
  let cutWithThisMm = 0
  const felt: TestCut[] = []
  for (const entry of entries) {
    if (entry.kind === 'bought') segmentsLeft += entry.segments
    if (entry.kind === 'cut') cutWithThisMm += entry.cutMm
    if (entry.kind === 'test cut') felt.push(entry.felt)
    if (entry.kind === 'segment') {
      segmentsLeft--
      segmentsUsed++
      cutWithThisMm = 0
    }
  }
  const last = felt.slice(-lastCuts)
  return {
    segmentsLeft,
    segmentsUsed,
    cutWithThisMm,
    fresh: cutWithThisMm < bladeAlongMm,
    testCuts: felt.length,
    steadiness: last.length === 0 ? null : last.filter((f) => f === 'two thirds').length / last.length,
  }
}
