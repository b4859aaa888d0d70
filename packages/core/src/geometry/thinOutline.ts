import type { Polygon } from './polygon.ts'
import { distance, type Vec2 } from './vector.ts'

/**
 * The outline with needless points left out (Ramer 1972, Douglas and Peucker 1973): no point that is left out lies
 * further than `toleranceMm` from the outline that stays. Sides stay no longer than `longestSideMm`.
 */
export function thinOutline(polygon: Polygon, toleranceMm: number, longestSideMm = Number.POSITIVE_INFINITY): Vec2[] {
  const count = polygon.length
  if (count < 4) return [...polygon]
  let far = 0
  for (let i = 1; i < count; i++) if (distance(polygon[i]!, polygon[0]!) > distance(polygon[far]!, polygon[0]!)) far = i
  if (far === 0) return [...polygon]
  const keep = new Uint8Array(count + 1)
  keep[0] = 1
  keep[far] = 1
  const at = (i: number) => polygon[i % count]!
  const open: [number, number][] = [
    [0, far],
    [far, count],
  ]
  for (let range = open.pop(); range !== undefined; range = open.pop()) {
    const [from, to] = range
    let worst = -1
    let most = toleranceMm
    for (let i = from + 1; i < to; i++) {
      const off = distanceToSegment(at(i), at(from), at(to))
      if (off > most) {
        most = off
        worst = i
      }
    }
    if (worst < 0 && distance(at(from), at(to)) > longestSideMm && to - from > 1) worst = Math.floor((from + to) / 2)
    if (worst < 0) continue
    keep[worst] = 1
    open.push([from, worst], [worst, to])
  }
  return polygon.filter((_, i) => keep[i] === 1)
}

function distanceToSegment(p: Vec2, a: Vec2, b: Vec2): number {
  const dx = b[0] - a[0]
  const dy = b[1] - a[1]
  const t = Math.min(1, Math.max(0, ((p[0] - a[0]) * dx + (p[1] - a[1]) * dy) / (dx * dx + dy * dy || 1)))
  return Math.hypot(p[0] - a[0] - t * dx, p[1] - a[1] - t * dy)
}
