import type { Vec2 } from './vector.ts'

export interface PlaceOnMesh {
  readonly triangle: number
  /** Weights of the triangle's three corners, sum 1; some negative outside the triangle. */
  readonly weight: readonly [number, number, number]
}

export interface TriangleLocator {
  /** The triangle that holds the point, or null outside. */
  at(p: Vec2): PlaceOnMesh | null
  /** The same, or outside the triangle nearest to the point, with weights that carry its plane on. */
  nearest(p: Vec2): PlaceOnMesh
}

/**
 * Finds places on a plane triangulation by a grid of buckets.
 *
 * @param xy plane coordinates `[x0, y0, …]`, length 2·V
 * @param triangle length 3·T, at least one triangle with an area
 */
export function triangleLocator(xy: ArrayLike<number>, triangle: Int32Array): TriangleLocator {
  const grid = bucketGrid(xy, triangle)
  const at = (p: Vec2): PlaceOnMesh | null => {
    for (const t of grid.around(p, 0)) {
      const weight = weightsOf(xy, triangle, t, p)
      if (weight?.every((w) => w >= -1e-9)) return { triangle: t, weight }
    }
    return null
  }
  return {
    at,
    nearest(p) {
      const inside = at(p)
      if (inside !== null) return inside
      let best: PlaceOnMesh | null = null
      let least = Number.POSITIVE_INFINITY
      // One ring further than the first that holds anything: a triangle of the next cell can be nearer.
      for (let ring = 1, last = grid.rings; ring <= last; ring++) {
        for (const t of grid.around(p, ring)) {
          const distance = distanceToTriangle(xy, triangle, t, p)
          const weight = distance < least ? weightsOf(xy, triangle, t, p) : null
          if (weight === null) continue
          least = distance
          best = { triangle: t, weight }
        }
        if (best !== null) last = Math.min(last, ring + 1)
      }
      if (best === null) throw new RangeError('the triangulation has no triangle with an area')
      return best
    },
  }
}

function weightsOf(xy: ArrayLike<number>, triangle: Int32Array, t: number, p: Vec2): [number, number, number] | null {
  const i = 2 * triangle[3 * t]!
  const j = 2 * triangle[3 * t + 1]!
  const k = 2 * triangle[3 * t + 2]!
  const ex = xy[j]! - xy[i]!
  const ey = xy[j + 1]! - xy[i + 1]!
  const fx = xy[k]! - xy[i]!
  const fy = xy[k + 1]! - xy[i + 1]!
  const d = ex * fy - fx * ey
  if (d === 0) return null
  const x = p[0] - xy[i]!
  const y = p[1] - xy[i + 1]!
  const wj = (x * fy - fx * y) / d
  const wk = (ex * y - x * ey) / d
  return [1 - wj - wk, wj, wk]
}

/** Distance to the nearest side, for a point outside. */
function distanceToTriangle(xy: ArrayLike<number>, triangle: Int32Array, t: number, p: Vec2): number {
  let best = Number.POSITIVE_INFINITY
  for (let c = 0; c < 3; c++) {
    const a = 2 * triangle[3 * t + c]!
    const b = 2 * triangle[3 * t + ((c + 1) % 3)]!
    const dx = xy[b]! - xy[a]!
    const dy = xy[b + 1]! - xy[a + 1]!
    const s = Math.min(1, Math.max(0, ((p[0] - xy[a]!) * dx + (p[1] - xy[a + 1]!) * dy) / (dx * dx + dy * dy)))
    best = Math.min(best, Math.hypot(p[0] - xy[a]! - s * dx, p[1] - xy[a + 1]! - s * dy))
  }
  return best
}

/** Triangles by square cells of about their own size. */
function bucketGrid(xy: ArrayLike<number>, triangle: Int32Array) {
  const count = triangle.length / 3
  let minX = Number.POSITIVE_INFINITY
  let minY = Number.POSITIVE_INFINITY
  let maxX = Number.NEGATIVE_INFINITY
  let maxY = Number.NEGATIVE_INFINITY
  for (let i = 0; i < xy.length; i += 2) {
    minX = Math.min(minX, xy[i]!)
    maxX = Math.max(maxX, xy[i]!)
    minY = Math.min(minY, xy[i + 1]!)
    maxY = Math.max(maxY, xy[i + 1]!)
  }
  const cell = Math.max(Math.sqrt(((maxX - minX) * (maxY - minY)) / Math.max(1, count)) * 1.5, 1e-9)
  const columns = Math.floor((maxX - minX) / cell) + 1
  const rows = Math.floor((maxY - minY) / cell) + 1
  const buckets: number[][] = Array.from({ length: columns * rows }, () => [])
  for (let t = 0; t < count; t++) {
    const corners = [0, 1, 2].map((c) => 2 * triangle[3 * t + c]!)
    const xs = corners.map((i) => xy[i]!)
    const ys = corners.map((i) => xy[i + 1]!)
    const fromRow = Math.floor((Math.min(...ys) - minY) / cell)
    const toRow = Math.floor((Math.max(...ys) - minY) / cell)
    const fromColumn = Math.floor((Math.min(...xs) - minX) / cell)
    const toColumn = Math.floor((Math.max(...xs) - minX) / cell)
    for (let r = fromRow; r <= toRow; r++) {
      for (let c = fromColumn; c <= toColumn; c++) buckets[r * columns + c]!.push(t)
    }
  }
  return {
    /** Rings enough to reach any cell from any point near the grid. */
    rings: columns + rows,
    /** Triangles in the cells at that many steps from the point's own (all within, for points far outside). */
    around(p: Vec2, ring: number): Set<number> {
      const column = Math.min(columns, Math.max(-1, Math.floor((p[0] - minX) / cell)))
      const row = Math.min(rows, Math.max(-1, Math.floor((p[1] - minY) / cell)))
      const found = new Set<number>()
      for (let r = Math.max(0, row - ring); r <= Math.min(rows - 1, row + ring); r++) {
        for (let c = Math.max(0, column - ring); c <= Math.min(columns - 1, column + ring); c++) {
          for (const t of buckets[r * columns + c]!) found.add(t)
        }
      }
      return found
    },
  }
}
