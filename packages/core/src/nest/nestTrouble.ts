import { boundsOf, contains, selfCrossing, signedArea } from '../geometry/index.ts'
import { type NestFailure, nestFailure } from './nestFailures.ts'
import type { NestPiece, NestRequest, SpoiltStretch } from './request.ts'
import { turnedBy, turnsOf } from './shape.ts'

/** What is wrong with a request, or null. */
export function nestTrouble(request: NestRequest): NestFailure | null {
  const { rollWidthMm, borderMm = 0, spoilt = [], pieces } = request
  if (pieces.every(({ count }) => count < 1)) return nestFailure('NEST_NOTHING', {})
  const crossed = spoilt.find(([from, to]) => !(to > from))
  if (crossed !== undefined) return nestFailure('NEST_SPOILT', { fromMm: crossed[0], toMm: crossed[1] })
  if (2 * borderMm >= rollWidthMm) return nestFailure('NEST_BORDER', { borderMm, rollWidthMm })
  const seen = new Set<string>()
  for (const piece of pieces) {
    if (seen.has(piece.id)) return nestFailure('NEST_TWICE', { id: piece.id })
    seen.add(piece.id)
    const trouble = pieceTrouble(piece) ?? roomTrouble(piece, request)
    if (trouble !== null) return trouble
  }
  return null
}

const calledOf = ({ id, name = id }: NestPiece) => name

/** Less area than this is none, mm². */
const leastAreaMm2 = 0.01

function pieceTrouble(piece: NestPiece): NestFailure | null {
  const { outline, cutOuts = [] } = piece
  const id = calledOf(piece)
  for (const loop of [outline, ...cutOuts]) {
    if (loop.length < 3 || Math.abs(signedArea(loop)) < leastAreaMm2) return nestFailure('NEST_FLAT', { id })
    const at = selfCrossing(loop)
    if (at !== null) return nestFailure('NEST_CROSSED', { id, x: at[0], y: at[1] })
  }
  const outside = cutOuts.some((hole) => hole.some((p) => !contains(outline, p)))
  return outside ? nestFailure('NEST_CUT_OUT_OUTSIDE', { id }) : null
}

function roomTrouble(
  piece: NestPiece,
  { rollWidthMm, rollLengthMm, borderMm = 0, spoilt = [] }: NestRequest,
): NestFailure | null {
  const id = calledOf(piece)
  const freeMm = rollWidthMm - 2 * borderMm
  const sizes = turnsOf(piece).map((turnDeg) => {
    const { min, max } = boundsOf(piece.outline.map((p) => turnedBy(p, turnDeg)))
    return { alongMm: max[0] - min[0], acrossMm: max[1] - min[1] }
  })
  const fitting = sizes.filter(({ acrossMm }) => acrossMm <= freeMm + 1e-9)
  if (fitting.length === 0)
    return nestFailure('NEST_TOO_WIDE', { id, neededMm: Math.min(...sizes.map((s) => s.acrossMm)), freeMm })
  if (rollLengthMm === undefined) return null
  const longestMm = longestSound(rollLengthMm, borderMm, spoilt)
  const neededMm = Math.min(...fitting.map((s) => s.alongMm))
  return neededMm > longestMm + 1e-9 ? nestFailure('NEST_NO_ROOM', { id, neededMm, freeMm: longestMm }) : null
}

/** The longest stretch between borders and spoilt film, mm. */
function longestSound(rollLengthMm: number, borderMm: number, spoilt: readonly SpoiltStretch[]): number {
  let [longest, from] = [0, borderMm]
  const endMm = rollLengthMm - borderMm
  for (const [begins, ends] of [...spoilt].sort((a, b) => a[0] - b[0])) {
    longest = Math.max(longest, Math.min(begins, endMm) - from)
    from = Math.max(from, ends)
  }
  return Math.max(longest, endMm - from)
}
