import type { Vec2 } from '../geometry/index.ts'

export interface Curvature {
  /** Principal curvatures, 1/mm, the one of larger size first; positive = bulging towards the eye. */
  readonly most: number
  readonly least: number
  /** Their product, 1/mm². */
  readonly gauss: number
}

const stepMm = 0.5

/**
 * Curvature of the graph z = height(x, y), from central differences
 * (do Carmo, "Differential Geometry of Curves and Surfaces", 3.3, example 5).
 */
export function curvatureAt(height: (p: Vec2) => number, [x, y]: Vec2): Curvature {
  const z = height([x, y])
  const xp = height([x + stepMm, y])
  const xm = height([x - stepMm, y])
  const yp = height([x, y + stepMm])
  const ym = height([x, y - stepMm])
  const zx = (xp - xm) / (2 * stepMm)
  const zy = (yp - ym) / (2 * stepMm)
  const zxx = (xp - 2 * z + xm) / (stepMm * stepMm)
  const zyy = (yp - 2 * z + ym) / (stepMm * stepMm)
  const zxy =
    (height([x + stepMm, y + stepMm]) -
      height([x + stepMm, y - stepMm]) -
      height([x - stepMm, y + stepMm]) +
      height([x - stepMm, y - stepMm])) /
    (4 * stepMm * stepMm)
  const w = 1 + zx * zx + zy * zy
  const gauss = (zxx * zyy - zxy * zxy) / (w * w)
  const mean = -((1 + zy * zy) * zxx - 2 * zx * zy * zxy + (1 + zx * zx) * zyy) / (2 * w * Math.sqrt(w))
  const spread = Math.sqrt(Math.max(0, mean * mean - gauss))
  const [most, least] = mean >= 0 ? [mean + spread, mean - spread] : [mean - spread, mean + spread]
  return { most, least, gauss }
}
