import type { Vec2 } from '../geometry/index.ts'
import type { MeasuredSpot, SpotMiss } from './formTypes.ts'

/** A spot with a wider gap between the ways to its neighbours lies at the rim: what the others say of it is a guess beyond them. */
const rimGapRad = 0.8 * Math.PI

/**
 * How far the others miss each spot when it is left out: what the form may be off between spots, since each is then as far from the next as a spot
 * between two is now, or farther. Spots at the rim are not counted. Null without a spot that has others all round it.
 *
 * @param missMm by how much each spot lies above what all others say of it
 */
export function missOfLeftOut(spots: readonly MeasuredSpot[], missMm: readonly number[]): SpotMiss | null {
  const inside = spots.flatMap((spot, i) =>
    widestGap(
      spot.at,
      spots.filter((other) => other !== spot).map(({ at }) => at),
    ) < rimGapRad
      ? [{ name: spot.name, at: spot.at, missMm: missMm[i] ?? 0 }]
      : [],
  )
  const [first] = inside
  if (first === undefined) return null
  const worst = inside.reduce((most, one) => (Math.abs(one.missMm) > Math.abs(most.missMm) ? one : most), first)
  return { rmsMm: Math.sqrt(inside.reduce((sum, one) => sum + one.missMm ** 2, 0) / inside.length), worst }
}

function widestGap([x, y]: Vec2, others: readonly Vec2[]): number {
  const ways = others.map(([u, v]) => Math.atan2(v - y, u - x)).sort((a, b) => a - b)
  return Math.max(...ways.map((way, i) => (ways[i + 1] ?? (ways[0] ?? 0) + 2 * Math.PI) - way))
}
