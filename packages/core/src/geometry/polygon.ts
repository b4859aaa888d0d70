import { cross2, distance, subtract, type Vec2 } from './vector.ts'

/** A closed polygon: the last point joins the first. */
export type Polygon = readonly Vec2[]

/** Area, positive when the polygon runs counter-clockwise; mm². */
export function signedArea(polygon: Polygon): number {
  let twice = 0
  for (let i = 0; i < polygon.length; i++) twice += cross2(polygon[i]!, polygon[(i + 1) % polygon.length]!)
  return twice / 2
}

/** Length all round, mm. */
export function perimeter(polygon: Polygon): number {
  let sum = 0
  for (let i = 0; i < polygon.length; i++) sum += distance(polygon[i]!, polygon[(i + 1) % polygon.length]!)
  return sum
}

/** Whether a point lies inside, by counting crossings to its right. */
export function contains(polygon: Polygon, p: Vec2): boolean {
  const x = p[0]
  const y = p[1]
  let inside = false
  let a = polygon[polygon.length - 1]!
  for (let i = 0; i < polygon.length; i++) {
    const b = polygon[i]!
    if (b[1] > y !== a[1] > y && x < ((a[0] - b[0]) * (y - b[1])) / (a[1] - b[1]) + b[0]) inside = !inside
    a = b
  }
  return inside
}

export interface NearestOnOutline {
  readonly distanceMm: number
  readonly point: Vec2
  /** Index of the side's first corner. */
  readonly side: number
}

/** The point of the outline nearest to `p`. */
export function nearestOnOutline(polygon: Polygon, p: Vec2): NearestOnOutline {
  let best = Infinity
  let bestX = 0
  let bestY = 0
  let side = 0
  for (let i = 0, n = polygon.length; i < n; i++) {
    const a = polygon[i]!
    const b = polygon[i + 1 === n ? 0 : i + 1]!
    const dx = b[0] - a[0]
    const dy = b[1] - a[1]
    const lengthSquared = dx * dx + dy * dy
    let t = lengthSquared > 0 ? ((p[0] - a[0]) * dx + (p[1] - a[1]) * dy) / lengthSquared : 0
    t = t < 0 ? 0 : t > 1 ? 1 : t
    const x = a[0] + t * dx
    const y = a[1] + t * dy
    const d = (p[0] - x) * (p[0] - x) + (p[1] - y) * (p[1] - y)
    if (d < best) {
      best = d
      bestX = x
      bestY = y
      side = i
    }
  }
  return { distanceMm: Math.sqrt(best), point: [bestX, bestY], side }
}

/** Distance from a point to an open line of points, mm; infinite where it has no side. */
export function distanceToLine(line: readonly Vec2[], p: Vec2): number {
  let best = Number.POSITIVE_INFINITY
  for (let i = 0; i + 1 < line.length; i++) {
    const a = line[i]!
    const b = line[i + 1]!
    const dx = b[0] - a[0]
    const dy = b[1] - a[1]
    const px = p[0] - a[0]
    const py = p[1] - a[1]
    const t = (px * dx + py * dy) / (dx * dx + dy * dy || 1)
    const clipped = t < 0 ? 0 : t > 1 ? 1 : t
    const x = px - clipped * dx
    const y = py - clipped * dy
    const square = x * x + y * y
    if (square < best) best = square
  }
  return Math.sqrt(best)
}

/** Where two sides of the polygon cross each other, or null when it is simple. */
export function selfCrossing(polygon: Polygon): Vec2 | null {
  const n = polygon.length
  for (let i = 0; i < n; i++) {
    const a = polygon[i]!
    const b = polygon[(i + 1) % n]!
    for (let j = i + 2; j < n; j++) {
      if (i === 0 && j === n - 1) continue
      const c = polygon[j]!
      const d = polygon[(j + 1) % n]!
      if (
        Math.max(a[0], b[0]) < Math.min(c[0], d[0]) ||
        Math.max(c[0], d[0]) < Math.min(a[0], b[0]) ||
        Math.max(a[1], b[1]) < Math.min(c[1], d[1]) ||
        Math.max(c[1], d[1]) < Math.min(a[1], b[1])
      )
        continue
      const ab = subtract(b, a)
      const cd = subtract(d, c)
      const denominator = cross2(ab, cd)
      if (denominator === 0) continue
      const t = cross2(subtract(c, a), cd) / denominator
      const u = cross2(subtract(c, a), ab) / denominator
      if (t >= 0 && t <= 1 && u >= 0 && u <= 1) return [a[0] + t * ab[0], a[1] + t * ab[1]]
    }
  }
  return null
}

export interface Bounds {
  readonly min: Vec2
  readonly max: Vec2
}

/** The upright box round all points. */
export function boundsOf(points: readonly Vec2[]): Bounds {
  let minX = Infinity
  let minY = Infinity
  let maxX = -Infinity
  let maxY = -Infinity
  for (const [x, y] of points) {
    minX = Math.min(minX, x)
    minY = Math.min(minY, y)
    maxX = Math.max(maxX, x)
    maxY = Math.max(maxY, y)
  }
  return { min: [minX, minY], max: [maxX, maxY] }
}

/** Centre of the enclosed area. */
export function centroid(polygon: Polygon): Vec2 {
  let twice = 0
  let x = 0
  let y = 0
  for (let i = 0; i < polygon.length; i++) {
    const a = polygon[i]!
    const b = polygon[(i + 1) % polygon.length]!
    const w = cross2(a, b)
    twice += w
    x += w * (a[0] + b[0])
    y += w * (a[1] + b[1])
  }
  return [x / (3 * twice), y / (3 * twice)]
}

/** Points along the closed polygon, every corner kept and no side longer than `stepMm`. */
export function densify(polygon: Polygon, stepMm: number): { points: Vec2[]; side: number[] } {
  const points: Vec2[] = []
  const side: number[] = []
  for (let i = 0; i < polygon.length; i++) {
    const a = polygon[i]!
    const b = polygon[(i + 1) % polygon.length]!
    const parts = Math.max(1, Math.ceil(distance(a, b) / stepMm))
    for (let k = 0; k < parts; k++) {
      points.push([a[0] + ((b[0] - a[0]) * k) / parts, a[1] + ((b[1] - a[1]) * k) / parts])
      side.push(i)
    }
  }
  return { points, side }
}
