import { centroid, turnAbout } from '../geometry/index.ts'
import { radFromDeg } from '../units/index.ts'
import type { PlacedPiece } from './edgeMargins.ts'
import { movePiece } from './registerPiece.ts'

/** A placed piece after a shift by hand: turned about its own middle, then moved. */
export function thenPlaced(
  piece: PlacedPiece,
  shift: { readonly xMm: number; readonly yMm: number; readonly turnDeg: number },
): PlacedPiece {
  if (shift.xMm === 0 && shift.yMm === 0 && shift.turnDeg === 0) return piece
  return movePiece(piece, turnAbout(centroid(piece.outline), radFromDeg(shift.turnDeg), [shift.xMm, shift.yMm]))
}
