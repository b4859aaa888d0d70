import { seededNormal, seededRandom } from '../numerics/index.ts'
import type { GreyPicture } from './detect.ts'
import { isWhite, targetRadii } from './target.ts'
import type { Vec2 } from '../geometry/index.ts'

/** A target as it comes to lie in a picture: its middle, and what one radius of its dot along x and y becomes, px. */
export interface DrawnTarget {
  readonly target: number
  readonly atPx: Vec2
  readonly alongX: Vec2
  readonly alongY: Vec2
}

export interface TestLight {
  readonly noise: number
  /** Of a Gaussian, px. */
  readonly blurPx: number
  /** How much darker the lower right corner is than the upper left one, a share. */
  readonly uneven: number
  /** Grey of the part. */
  readonly paint: number
}

const fine = 4

/** Targets on paint, as a camera sees them. */
export function drawnPicture(
  width: number,
  height: number,
  targets: readonly DrawnTarget[],
  { noise, blurPx, uneven, paint }: TestLight,
  seed: number,
): GreyPicture {
  const normal = seededNormal(seededRandom(seed))
  const bright = new Float32Array(width * height).fill(paint)
  for (const { target, atPx, alongX, alongY } of targets) {
    const det = alongX[0] * alongY[1] - alongX[1] * alongY[0]
    const reach = Math.ceil(targetRadii.margin * Math.max(Math.hypot(...alongX), Math.hypot(...alongY))) + 2
    for (let j = Math.max(0, Math.floor(atPx[1]) - reach); j < Math.min(height, atPx[1] + reach); j++)
      for (let i = Math.max(0, Math.floor(atPx[0]) - reach); i < Math.min(width, atPx[0] + reach); i++) {
        let sum = 0
        for (let v = 0; v < fine; v++)
          for (let u = 0; u < fine; u++) {
            const [dx, dy] = [i + (u + 0.5) / fine - atPx[0], j + (v + 0.5) / fine - atPx[1]]
            const white = isWhite(
              target,
              (alongY[1] * dx - alongY[0] * dy) / det,
              (alongX[0] * dy - alongX[1] * dx) / det,
            )
            sum += white === null ? paint : white ? 225 : 28
          }
        bright[j * width + i] = sum / (fine * fine)
      }
  }
  const soft = blurred(bright, width, height, blurPx)
  const grey = new Uint8Array(width * height)
  for (let j = 0; j < height; j++)
    for (let i = 0; i < width; i++) {
      const light = 1 - (uneven * (i / width + j / height)) / 2
      grey[j * width + i] = Math.min(
        255,
        Math.max(0, Math.round((soft[j * width + i] ?? 0) * light + noise * normal())),
      )
    }
  return { width, height, grey }
}

function blurred(values: Float32Array, width: number, height: number, sigma: number): Float32Array {
  if (sigma <= 0) return values
  const reach = Math.ceil(3 * sigma)
  const kernel = Array.from({ length: 2 * reach + 1 }, (_, k) => Math.exp(-((k - reach) ** 2) / (2 * sigma * sigma)))
  const whole = kernel.reduce((sum, v) => sum + v, 0)
  const along = (from: Float32Array, across: boolean) => {
    const to = new Float32Array(from.length)
    for (let j = 0; j < height; j++)
      for (let i = 0; i < width; i++) {
        let sum = 0
        for (let k = -reach; k <= reach; k++) {
          const [x, y] = across
            ? [Math.min(width - 1, Math.max(0, i + k)), j]
            : [i, Math.min(height - 1, Math.max(0, j + k))]
          sum += (kernel[k + reach] ?? 0) * (from[y * width + x] ?? 0)
        }
        to[j * width + i] = sum / whole
      }
    return to
  }
  return along(along(values, true), false)
}
