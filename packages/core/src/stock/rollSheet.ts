import { boundsOf, type Polygon, rotate, type Vec2 } from '../geometry/index.ts'
import { radFromDeg } from '../units/index.ts'
import { type CutSize, cutSize } from './cutSize.ts'

/** A sheet off the roll, and where it lies on the part. */
export interface RollSheet extends CutSize {
  /** Film beyond the part on each side, mm. */
  readonly allowanceMm: number
  /** How much of the roll's length is used: the sheet lies across the roll with the side that leaves least of it, mm. */
  readonly ofRollMm: number
  readonly rollWidthMm: number
  /** Its corners in the film plane, mm. */
  readonly outline: Polygon
}

/** The sheet for a flat part; null where neither side of it goes into the width of the roll. */
export function rollSheet(
  flat: Polygon,
  {
    allowanceMm,
    mayTurn,
    rollWidthMm,
  }: { readonly allowanceMm: number; readonly mayTurn: boolean; readonly rollWidthMm: number },
): RollSheet | null {
  const size = cutSize(flat, allowanceMm, mayTurn)
  const { lengthMm, widthMm, turnDeg } = size
  // Film with a direction lies along the roll as it lies on the part.
  const across = (mayTurn ? [lengthMm, widthMm] : [widthMm]).filter((mm) => mm <= rollWidthMm)
  if (across.length === 0) return null
  const ofRollMm = lengthMm + widthMm - Math.max(...across)
  const turn = radFromDeg(turnDeg)
  const { min, max } = boundsOf(flat.map((p) => rotate(p, turn)))
  const corner = (x: number, y: number): Vec2 => rotate([x, y], -turn)
  const [left, bottom] = [min[0] - allowanceMm, min[1] - allowanceMm]
  const [right, top] = [max[0] + allowanceMm, max[1] + allowanceMm]
  return {
    ...size,
    allowanceMm,
    ofRollMm,
    rollWidthMm,
    outline: [corner(left, bottom), corner(right, bottom), corner(right, top), corner(left, top)],
  }
}
