import type { Vec2 } from '../geometry/index.ts'
import type { Relief } from './formTypes.ts'

/** Height of a relief between its grid points (bilinear); beyond its rim the rim's height, mm. */
export function reliefHeight({ originMm, stepMm, columns, heightsMm }: Relief): (p: Vec2) => number {
  const rows = Math.floor(heightsMm.length / columns)
  const at = (c: number, r: number) => heightsMm[r * columns + c] ?? 0
  return ([x, y]) => {
    const u = Math.min(columns - 1, Math.max(0, (x - originMm[0]) / stepMm))
    const v = Math.min(rows - 1, Math.max(0, (y - originMm[1]) / stepMm))
    const c = Math.min(columns - 2, Math.floor(u))
    const r = Math.min(rows - 2, Math.floor(v))
    const [s, t] = [u - c, v - r]
    return (1 - t) * ((1 - s) * at(c, r) + s * at(c + 1, r)) + t * ((1 - s) * at(c, r + 1) + s * at(c + 1, r + 1))
  }
}
