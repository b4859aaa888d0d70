import { boundsOf, type Polygon } from './polygon.ts'
import type { Vec2 } from './vector.ts'

/**
 * The same answers as `contains`, for many points: the sides are sorted into bands across, and a point asks only those of its
 * own band. Every side that a crossing could lie on is in the bands that it spans.
 */
export function insideOf(polygon: Polygon): (p: Vec2) => boolean {
  const { min, max } = boundsOf(polygon)
  const bands = Math.max(1, Math.ceil(polygon.length / 2))
  const heightMm = (max[1] - min[1]) / bands || 1
  const bandOf = (y: number) => Math.min(bands - 1, Math.max(0, Math.floor((y - min[1]) / heightMm)))
  const sides: number[][] = Array.from({ length: bands }, () => [])
  for (let i = 0; i < polygon.length; i++) {
    const a = polygon[i === 0 ? polygon.length - 1 : i - 1]!
    const b = polygon[i]!
    const last = bandOf(Math.max(a[1], b[1]))
    for (let band = bandOf(Math.min(a[1], b[1])); band <= last; band++) sides[band]!.push(i)
  }
  return ([x, y]) => {
    if (!(y >= min[1] && y <= max[1])) return false
    let inside = false
    for (const i of sides[bandOf(y)]!) {
      const a = polygon[i === 0 ? polygon.length - 1 : i - 1]!
      const b = polygon[i]!
      if (b[1] > y !== a[1] > y && x < ((a[0] - b[0]) * (y - b[1])) / (a[1] - b[1]) + b[0]) inside = !inside
    }
    return inside
  }
}
