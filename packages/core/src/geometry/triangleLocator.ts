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
    let found: PlaceOnMesh | null = null
    grid.ring(p, 0, (t) => {
      const weight = weightsOf(xy, triangle, t, p)
      if (weight === null || weight[0] < -1e-9 || weight[1] < -1e-9 || weight[2] < -1e-9) return false
      found = { triangle: t, weight }
      return true
    })
    return found
  }
  return {
    at,
    nearest(p) {
      const inside = at(p)
      if (inside !== null) return inside
      let nearest = -1
      let least = Number.POSITIVE_INFINITY
      const closer = (t: number) => {
        const distance = distanceToTriangle(xy, triangle, t, p)
        if (distance < least && weightsOf(xy, triangle, t, p) !== null) [nearest, least] = [t, distance]
        return false
      }
      // The cells of a ring are at least this far away: whole cells between them and the point's own.
      for (let steps = 0; steps <= grid.rings && (steps - 1) * grid.cellMm < least; steps++) grid.ring(p, steps, closer)
      const weight = nearest < 0 ? null : weightsOf(xy, triangle, nearest, p)
      if (weight === null) throw new RangeError('the triangulation has no triangle with an area')
      return { triangle: nearest, weight }
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
    best = Math.min(best, (p[0] - xy[a]! - s * dx) ** 2 + (p[1] - xy[a + 1]! - s * dy) ** 2)
  }
  return Math.sqrt(best)
}

/** Triangles by square cells of about their own size; `first` and `held` list them cell after cell. */
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
  const eachCell = (visit: (bucket: number, t: number) => void) => {
    for (let t = 0; t < count; t++) {
      const i = 2 * triangle[3 * t]!
      const j = 2 * triangle[3 * t + 1]!
      const k = 2 * triangle[3 * t + 2]!
      const fromRow = Math.floor((Math.min(xy[i + 1]!, xy[j + 1]!, xy[k + 1]!) - minY) / cell)
      const toRow = Math.floor((Math.max(xy[i + 1]!, xy[j + 1]!, xy[k + 1]!) - minY) / cell)
      const fromColumn = Math.floor((Math.min(xy[i]!, xy[j]!, xy[k]!) - minX) / cell)
      const toColumn = Math.floor((Math.max(xy[i]!, xy[j]!, xy[k]!) - minX) / cell)
      for (let r = fromRow; r <= toRow; r++) {
        for (let c = fromColumn; c <= toColumn; c++) visit(r * columns + c, t)
      }
    }
  }
  const first = new Int32Array(columns * rows + 1)
  eachCell((bucket) => first[bucket + 1]!++)
  for (let b = 0; b < columns * rows; b++) first[b + 1]! += first[b]!
  const held = new Int32Array(first[columns * rows]!)
  const next = first.slice(0, -1)
  eachCell((bucket, t) => {
    held[next[bucket]!++] = t
  })
  return {
    /** Rings enough to reach any cell from any point near the grid. */
    rings: columns + rows,
    cellMm: cell,
    /** Visits the triangles in the cells that many steps from the point's own, until one is taken; some more than once. */
    ring(p: Vec2, steps: number, take: (t: number) => boolean): boolean {
      const column = Math.min(columns, Math.max(-1, Math.floor((p[0] - minX) / cell)))
      const row = Math.min(rows, Math.max(-1, Math.floor((p[1] - minY) / cell)))
      for (let r = Math.max(0, row - steps); r <= Math.min(rows - 1, row + steps); r++) {
        const whole = Math.abs(r - row) === steps
        for (let c = column - steps; c <= column + steps; c += whole || steps === 0 ? 1 : 2 * steps) {
          if (c < 0 || c >= columns) continue
          const bucket = r * columns + c
          for (let n = first[bucket]!; n < first[bucket + 1]!; n++) if (take(held[n]!)) return true
        }
      }
      return false
    },
  }
}
