import { cross2, distance, subtract, type Vec2 } from '../geometry/index.ts'

/** A stretch of rim that is longer than so many usual gaps between neighbours runs past a spot that belongs to it. */
const longGaps = 1.7
/** A spot lies along a stretch where both its ends see it within this of the stretch. */
const alongRad = (55 * Math.PI) / 180

/**
 * The outer ones of scattered spots, counter-clockwise, by their numbers: their hull, drawn in where a stretch of it is long and spots lie along it.
 * An offer: only who stuck them knows which were meant for the rim.
 */
export function outerRim(spots: readonly Vec2[]): number[] {
  if (spots.length < 3) return spots.map((_, i) => i)
  const at = (i: number): Vec2 => spots[i] ?? [0, 0]
  const rim = hullOf(spots)
  const limit = longGaps * usualGap(spots)
  for (let k = 0; k < rim.length; ) {
    const [a, b] = [rim[k] ?? 0, rim[(k + 1) % rim.length] ?? 0]
    const long = distance(at(a), at(b))
    let best: { spot: number; angle: number } | null = null
    if (long > limit)
      for (let i = 0; i < spots.length; i++) {
        if (rim.includes(i)) continue
        const angle = Math.max(angleAt(at(a), at(b), at(i)), angleAt(at(b), at(a), at(i)))
        if (angle < alongRad && (best === null || angle < best.angle)) best = { spot: i, angle }
      }
    if (best === null || crosses(rim, at, a, best.spot) || crosses(rim, at, best.spot, b)) k++
    else rim.splice(k + 1, 0, best.spot)
  }
  return rim
}

/** Andrew's monotone chain. */
function hullOf(spots: readonly Vec2[]): number[] {
  const order = spots
    .map((_, i) => i)
    .sort((i, j) => (spots[i]?.[0] ?? 0) - (spots[j]?.[0] ?? 0) || (spots[i]?.[1] ?? 0) - (spots[j]?.[1] ?? 0))
  const half = (numbers: readonly number[]) => {
    const chain: number[] = []
    for (const i of numbers) {
      while (chain.length > 1 && turn(chain[chain.length - 2] ?? 0, chain[chain.length - 1] ?? 0, i) <= 0) chain.pop()
      chain.push(i)
    }
    return chain.slice(0, -1)
  }
  const turn = (i: number, j: number, k: number) =>
    cross2(subtract(spots[j] ?? [0, 0], spots[i] ?? [0, 0]), subtract(spots[k] ?? [0, 0], spots[j] ?? [0, 0]))
  return [...half(order), ...half([...order].reverse())]
}

function usualGap(spots: readonly Vec2[]): number {
  const gaps = spots
    .map((p) => Math.min(...spots.filter((q) => q !== p).map((q) => distance(p, q))))
    .sort((a, b) => a - b)
  return gaps[Math.floor(gaps.length / 2)] ?? 0
}

function angleAt(p: Vec2, q: Vec2, r: Vec2): number {
  const [a, b] = [subtract(q, p), subtract(r, p)]
  return Math.abs(Math.atan2(cross2(a, b), a[0] * b[0] + a[1] * b[1]))
}

function crosses(rim: readonly number[], at: (i: number) => Vec2, a: number, b: number): boolean {
  return rim.some((i, k) => {
    const j = rim[(k + 1) % rim.length] ?? i
    if ([i, j].includes(a) || [i, j].includes(b)) return false
    const side = (p: Vec2, q: Vec2, r: Vec2) => Math.sign(cross2(subtract(q, p), subtract(r, p)))
    return (
      side(at(a), at(b), at(i)) !== side(at(a), at(b), at(j)) && side(at(i), at(j), at(a)) !== side(at(i), at(j), at(b))
    )
  })
}
