import type { Vec2 } from '../geometry/index.ts'
import { inCamera, type Lens, seenAt, type Vec3 } from './camera.ts'
import type { Taken } from './measured.ts'

/** A picture in colour, row by row from the upper left, four bytes each. */
export interface ColourPicture {
  readonly width: number
  readonly height: number
  readonly rgba: Uint8ClampedArray
}

/** A part as a drawing sees it: straight on, its origin in the middle. */
export interface DrawingView {
  readonly widthMm: number
  readonly heightMm: number
  readonly mmPerPx: number
  /** Where a spot of the drawing lies in space, against the plate. */
  readonly spotAt: (p: Vec2) => Vec3
}

/** Between knots so far apart the way into the photograph runs straight, px. */
const knotPx = 8

/** Of photographs the one that looks at a part most squarely. */
export function squarest(taken: readonly Taken[], middle: Vec3, towards: Vec3): Taken | null {
  let best: Taken | null = null
  let most = 0
  for (const one of taken) {
    const way = one.from.map((v, k) => v - (middle[k] ?? 0))
    const square = way.reduce((sum, v, k) => sum + v * (towards[k] ?? 0), 0) / Math.hypot(...way)
    if (square > most) [best, most] = [one, square]
  }
  return best
}

/**
 * A photograph as if it had been taken straight on from far away, over the whole bowed part: what lies under a spot of the drawing is at that spot.
 * Spots that the photograph does not show stay clear.
 */
export function straightened(
  photo: ColourPicture,
  { pose, inner }: Taken,
  lens: Lens,
  view: DrawingView,
): ColourPicture {
  const width = Math.ceil(view.widthMm / view.mmPerPx)
  const height = Math.ceil(view.heightMm / view.mmPerPx)
  const columns = Math.ceil(width / knotPx) + 1
  const rows = Math.ceil(height / knotPx) + 1
  const upright = photo.height > photo.width
  const knots = Array.from({ length: columns * rows }, (_, k): Vec2 => {
    const [i, j] = [(k % columns) * knotPx, Math.floor(k / columns) * knotPx]
    const there = inCamera(pose, view.spotAt([(i - width / 2) * view.mmPerPx, (height / 2 - j) * view.mmPerPx]))
    if (there[2] <= 0) return [-1, -1]
    const [u, v] = seenAt(lens, inner, there)
    // As sets of photographs hold them: upright pictures turned to lie.
    return upright ? [photo.width - v, u] : [u, v]
  })
  const rgba = new Uint8ClampedArray(4 * width * height)
  for (let j = 0; j < height; j++)
    for (let i = 0; i < width; i++) {
      const [a, b] = [i / knotPx, j / knotPx]
      const at = Math.floor(b) * columns + Math.floor(a)
      const between = (k: 0 | 1) => {
        const value = (n: number) => knots[n]?.[k] ?? -1
        const [s, t] = [a % 1, b % 1]
        return (
          (1 - t) * ((1 - s) * value(at) + s * value(at + 1)) +
          t * ((1 - s) * value(at + columns) + s * value(at + columns + 1))
        )
      }
      const [x, y] = [Math.floor(between(0)), Math.floor(between(1))]
      if (x < 0 || y < 0 || x >= photo.width || y >= photo.height) continue
      const from = 4 * (y * photo.width + x)
      rgba.set(photo.rgba.subarray(from, from + 4), 4 * (j * width + i))
    }
  return { width, height, rgba }
}
