import { boundsOf, type Polygon, rotate } from '../geometry/index.ts'
import { radFromDeg } from '../units/index.ts'

export interface CutSize {
  readonly lengthMm: number
  readonly widthMm: number
  /** How far the part is turned to lie like that, counter-clockwise. */
  readonly turnDeg: number
}

/**
 * The sheet to cut from the roll for a flat part with an allowance on each side. Film without a direction may be
 * turned: the turn with the least area is taken, to a degree; film with a direction stays as it is.
 */
export function cutSize(flat: Polygon, allowanceMm: number, mayTurn: boolean): CutSize {
  let best: CutSize | null = null
  for (let turnDeg = 0; turnDeg < (mayTurn ? 180 : 1); turnDeg++) {
    const { min, max } = boundsOf(flat.map((p) => rotate(p, radFromDeg(turnDeg))))
    const lengthMm = max[0] - min[0] + 2 * allowanceMm
    const widthMm = max[1] - min[1] + 2 * allowanceMm
    const smaller = best === null || lengthMm * widthMm < best.lengthMm * best.widthMm * (1 - 1e-9)
    if (smaller && (!mayTurn || lengthMm >= widthMm)) best = { lengthMm, widthMm, turnDeg }
  }
  return best ?? { lengthMm: 2 * allowanceMm, widthMm: 2 * allowanceMm, turnDeg: 0 }
}

/** Width of the strip for a bar: its face and the tuck on each side. */
export const barWidthMm = (faceMm: number, tuckMm: number) => faceMm + 2 * tuckMm
