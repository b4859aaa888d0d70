import { boundsOf, nearestOnOutline, type Polygon, type Vec2 } from '@truelay/core/geometry'
import type { JoinedLine } from './joinLines.ts'
import { nested } from './loops.ts'

/** A drawn line is no wider than this, mm. */
const widestMm = 2.5
/** Its width varies by no more than this share, and this many mm. */
const steadyShare = 0.25
const steadyMm = 0.1
/** So many points of a line tell how wide it is. */
const asked = 120

export interface WithoutStrokes {
  readonly lines: readonly JoinedLine[]
  /** Widths of the strokes whose middle was taken, mm. */
  readonly widthsMm: readonly number[]
}

/**
 * A line that was drawn with a thick pen and then traced has two edges, one inside the other: its middle is what was meant. Two lines that run round
 * each other at a small and steady distance become one.
 */
export function withoutStrokes(lines: readonly JoinedLine[]): WithoutStrokes {
  const loops = nested(lines)
  const taken = new Set<JoinedLine>()
  const widthsMm: number[] = []
  const middles: JoinedLine[] = []
  for (const [k, outer] of loops.entries()) {
    if (taken.has(outer)) continue
    for (const inner of loops.slice(k + 1)) {
      if (taken.has(inner) || inner.depth !== outer.depth + 1) continue
      if (!closeBoxes(outer.points, inner.points)) continue
      const widthMm = widthBetween(outer.points, inner.points)
      if (widthMm === null) continue
      taken.add(outer)
      taken.add(inner)
      widthsMm.push(widthMm)
      middles.push({ ...outer, points: outer.points.map((p) => halfway(p, inner.points)) })
      break
    }
  }
  return { lines: [...middles, ...loops.filter((loop) => !taken.has(loop))], widthsMm }
}

/** Only then can one run along the other all the way round. */
function closeBoxes(outer: Polygon, inner: Polygon): boolean {
  const [a, b] = [boundsOf(outer), boundsOf(inner)]
  return [b.min[0] - a.min[0], b.min[1] - a.min[1], a.max[0] - b.max[0], a.max[1] - b.max[1]].every(
    (mm) => mm <= 2 * widestMm,
  )
}

const halfway = (p: Vec2, inner: Polygon): Vec2 => {
  const { point: at } = nearestOnOutline(inner, p)
  return [(p[0] + at[0]) / 2, (p[1] + at[1]) / 2]
}

/** The width of the strip between two loops; null where it is none, or far from steady. */
function widthBetween(outer: Polygon, inner: Polygon): number | null {
  const across = (from: Polygon, to: Polygon) => {
    const stride = Math.max(1, Math.floor(from.length / asked))
    return from.filter((_, i) => i % stride === 0).map((p) => nearestOnOutline(to, p).distanceMm)
  }
  const inward = across(inner, outer)
  const most = Math.max(...inward)
  if (most > widestMm) return null
  const least = Math.min(...inward)
  // A pen's outer edge rounds a corner further out than its inner one.
  if (Math.max(...across(outer, inner)) > 2 * widestMm) return null
  return most - least <= steadyShare * most + steadyMm ? (most + least) / 2 : null
}
