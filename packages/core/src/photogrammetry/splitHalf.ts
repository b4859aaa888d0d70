import type { Priors } from './bundle.ts'
import { measured } from './measured.ts'
import type { PhotoSet } from './photographs.ts'
import { apart, rigidOnto } from './rigid.ts'

/** How far two halves of the photographs, each worked out by itself, lie from each other. */
export interface SplitHalf {
  /** Of all points that both tell, mm. */
  readonly rmsMm: number
  readonly points: number
}

/** Fewer in common say little. */
const leastPoints = 8

/** Every second photograph against the others; null where one half alone tells too little. */
export function splitHalf(set: PhotoSet, priors?: Priors): SplitHalf | null {
  const [odd, even] = [0, 1].map((rest) =>
    measured({ ...set, photographs: set.photographs.filter((_, i) => i % 2 === rest) }, priors),
  )
  if (odd === null || odd === undefined || even === null || even === undefined) return null
  const there = new Map(even.points.map(({ target, atMm }) => [target, atMm]))
  const pairs = odd.points.flatMap(({ target, atMm }) => {
    const other = there.get(target)
    return other === undefined ? [] : [{ a: atMm, b: other }]
  })
  if (pairs.length < leastPoints) return null
  const { place } = rigidOnto(
    pairs.map(({ a }) => a),
    pairs.map(({ b }) => b),
  )
  const squares = pairs.reduce((sum, { a, b }) => sum + apart(place(a), b) ** 2, 0)
  return { rmsMm: Math.sqrt(squares / pairs.length), points: pairs.length }
}
