import { contains, type Polygon, signedArea } from './polygon.ts'
import type { Vec2 } from './vector.ts'

/** The place of an outline nearest to a point. */
export interface Gauged {
  readonly distanceMm: number
  readonly point: Vec2
  readonly side: number
  /** Where on the side, 0..1. */
  readonly share: number
}

export interface OutlineGauge {
  /** The same answer as `nearestOnOutline`; quickest when `likelySide` is near the right one. */
  nearest(p: Vec2, likelySide: number): Gauged
  /** Whether `p` lies inside, given what `nearest` said of it. */
  holds(p: Vec2, gauged: Gauged): boolean
}

const blockSides = 12

/**
 * A prepared outline that is asked for many points. Sides are gathered in blocks with a circle around each; a block
 * whose circle is further away than the best answer so far is passed over with one comparison.
 */
export function outlineGauge(polygon: Polygon): OutlineGauge {
  const count = polygon.length
  const ax = new Float64Array(count)
  const ay = new Float64Array(count)
  const dx = new Float64Array(count)
  const dy = new Float64Array(count)
  for (let i = 0; i < count; i++) {
    const a = polygon[i]!
    const b = polygon[i + 1 === count ? 0 : i + 1]!
    ax[i] = a[0]
    ay[i] = a[1]
    dx[i] = b[0] - a[0]
    dy[i] = b[1] - a[1]
  }
  const blocks = Math.ceil(count / blockSides)
  const middleX = new Float64Array(blocks)
  const middleY = new Float64Array(blocks)
  const radius = new Float64Array(blocks)
  for (let b = 0; b < blocks; b++) {
    const from = b * blockSides
    const to = Math.min(count, from + blockSides)
    const half = from + ((to - from) >> 1)
    const mx = ax[half]!
    const my = ay[half]!
    let most = 0
    for (let i = from; i < to; i++) {
      const ex = ax[i]! - mx
      const ey = ay[i]! - my
      const fx = ex + dx[i]!
      const fy = ey + dy[i]!
      most = Math.max(most, ex * ex + ey * ey, fx * fx + fy * fy)
    }
    middleX[b] = mx
    middleY[b] = my
    radius[b] = Math.sqrt(most)
  }
  const leftIsInside = signedArea(polygon) > 0

  return {
    nearest(p, likelySide) {
      const x = p[0]
      const y = p[1]
      let best = Number.POSITIVE_INFINITY
      let reach = Number.POSITIVE_INFINITY
      let side = 0
      let share = 0
      let block = likelySide < count ? Math.floor(likelySide / blockSides) : 0
      for (let k = 0; k < blocks; k++) {
        const mx = x - middleX[block]!
        const my = y - middleY[block]!
        const far = reach + radius[block]!
        if (mx * mx + my * my <= far * far) {
          const to = Math.min(count, (block + 1) * blockSides)
          for (let i = block * blockSides; i < to; i++) {
            const sx = dx[i]!
            const sy = dy[i]!
            const fx = x - ax[i]!
            const fy = y - ay[i]!
            const l = sx * sx + sy * sy
            let t = l > 0 ? (fx * sx + fy * sy) / l : 0
            t = t < 0 ? 0 : t > 1 ? 1 : t
            const ex = fx - t * sx
            const ey = fy - t * sy
            const d = ex * ex + ey * ey
            if (d < best) {
              best = d
              side = i
              share = t
            }
          }
          reach = Math.sqrt(best)
        }
        block = block + 1 === blocks ? 0 : block + 1
      }
      return { distanceMm: reach, point: [ax[side]! + share * dx[side]!, ay[side]! + share * dy[side]!], side, share }
    },
    holds(p, { side, share, distanceMm }) {
      const turns = dx[side]! * (p[1] - ay[side]!) - dy[side]! * (p[0] - ax[side]!)
      // Beside a side its own direction tells.
      if (share > 0 && share < 1 && turns !== 0) return turns > 0 === leftIsInside
      // Next to a corner: before one that stands out lies the outside, before one that stands in the inside.
      const into = share < 0.5 ? (side === 0 ? count - 1 : side - 1) : side
      const out = into + 1 === count ? 0 : into + 1
      const corner = dx[into]! * dy[out]! - dy[into]! * dx[out]!
      const plain = Math.abs(corner) > 1e-9 * (Math.abs(dx[into]! * dx[out]!) + Math.abs(dy[into]! * dy[out]!))
      return plain && distanceMm > 1e-9 ? corner > 0 !== leftIsInside : contains(polygon, p)
    },
  }
}
