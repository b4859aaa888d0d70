import { cross2, distance, type Polygon, subtract, unit, type Vec2 } from '../geometry/index.ts'

/**
 * The polygon with fewer corners and never less area anywhere: a corner that bends inward goes where its notch is at most so deep, a side between
 * two outward corners goes where its neighbours meet at most so far beyond it. Straight sides stay where they are.
 * @param polygon counter-clockwise for an outline; an opening clockwise, which then narrows
 * @param byMm each step gives way by no more than this
 */
export function fewerSidesOutward(polygon: Polygon, byMm: number): Vec2[] {
  let points = [...polygon]
  // The least ones first.
  for (const share of [0, 1 / 16, 1 / 8, 1 / 4, 1 / 2, 1])
    for (let before = Infinity; points.length < before; ) {
      before = points.length
      points = onePass(points, Math.max(share * byMm, 1e-9))
    }
  return points
}

function onePass(points: readonly Vec2[], byMm: number): Vec2[] {
  const next: (Vec2 | null)[] = [...points]
  const count = points.length
  let left = count
  // What was touched in this pass stays for the next.
  const touched = new Uint8Array(count)
  const at = (i: number) => (i + count) % count
  for (let i = 0; i < count && left > 3; i++) {
    const around = [at(i - 1), i, at(i + 1), at(i + 2)]
    if (around.some((k) => touched[k] === 1)) continue
    const [before, here, after, later] = around.map((k) => points[k]!) as [Vec2, Vec2, Vec2, Vec2]
    if (bend(before, here, after) <= 0) {
      if (offLine(before, after, here) > byMm) continue
      next[i] = null
      left--
      for (const k of around.slice(0, 3)) touched[k] = 1
    } else if (bend(here, after, later) > 0) {
      const peak = meeting(before, here, later, after)
      if (peak === null || offLine(here, after, peak) > byMm || distance(peak, here) > distance(before, later)) continue
      next[i] = peak
      next[at(i + 1)] = null
      left--
      for (const k of around) touched[k] = 1
    }
  }
  return next.filter((p) => p !== null)
}

/** Above 0 where the way bends to the left. */
const bend = (a: Vec2, b: Vec2, c: Vec2) => cross2(unit(subtract(b, a)), unit(subtract(c, b)))

const offLine = (a: Vec2, b: Vec2, p: Vec2) => Math.abs(cross2(unit(subtract(b, a)), subtract(p, a)))

/** Where the ways a-b and d-c, both lengthened, meet ahead of b and c; null where they do not. */
function meeting(a: Vec2, b: Vec2, d: Vec2, c: Vec2): Vec2 | null {
  const [u, v] = [subtract(b, a), subtract(c, d)]
  const turn = cross2(u, v)
  if (Math.abs(turn) < 1e-12) return null
  const t = cross2(subtract(d, a), v) / turn
  const s = cross2(subtract(d, a), u) / turn
  return t >= 1 && s >= 1 ? [a[0] + t * u[0], a[1] + t * u[1]] : null
}
