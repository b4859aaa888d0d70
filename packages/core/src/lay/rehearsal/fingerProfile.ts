import type { PartSurface } from '../../form/index.ts'
import type { Vec2 } from '../../geometry/index.ts'
import { rimExcess } from '../fingerForecast.ts'

/** Film left over at one place of the rim. */
export interface FingerSpot {
  /** On the drawing, mm. */
  readonly at: Vec2
  /** Out of the part there, length 1. */
  readonly outward: Vec2
  readonly mmPer100: number
  /** The step after which both ends of this side lie. */
  readonly step: number
}

/** Film left over all along the rim, as it is drawn: a spot for every side of the rim that has any. */
export function fingerProfile(
  surface: PartSurface,
  lay: { readonly flat: Float64Array; readonly stepOfVertex: Int32Array },
  take: number,
): FingerSpot[] {
  return rimExcess(surface, lay, take).flatMap(({ v, w, at, excessMmPer100 }) => {
    if (excessMmPer100 <= 0.05) return []
    const { plan } = surface
    const [dx, dy] = [plan[2 * w]! - plan[2 * v]!, plan[2 * w + 1]! - plan[2 * v + 1]!]
    const length = Math.hypot(dx, dy) || 1
    return [
      {
        at,
        outward: [dy / length, -dx / length] as Vec2,
        mmPer100: excessMmPer100,
        step: Math.max(lay.stepOfVertex[v]!, lay.stepOfVertex[w]!),
      },
    ]
  })
}
