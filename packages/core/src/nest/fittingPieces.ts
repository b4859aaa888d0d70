import { EndType, inflatePathsD, JoinType } from 'clipper2-ts'
import { boundsOf, perimeter, type Polygon, signedArea, type Vec2 } from '../geometry/index.ts'
import type { NestPiece } from './request.ts'
import { type Film, filmOf, turnedBy, turnsOf } from './shape.ts'

/** How far a piece may lie over another before it is pushed into its place, and after; how much wider what lies there is taken, so that no slit
 * stays free between two; mm. */
export const giveMm = { before: 5, after: 0.15, wider: 0.2 } as const
/** Corners of a piece count as its first along the roll by so much, mm. */
const firstMm = 0.5

/** A piece in one of its turns, by its outline with half the gap round it. */
export interface FittingTurn {
  readonly turn: number
  readonly film: Film
  /** The same, narrower: where two of these lie over each other there is no place. */
  readonly before: Film | null
  readonly after: Film | null
  readonly wider: Polygon
  /** Where it begins along the roll. */
  readonly firstCorners: readonly Vec2[]
}

export interface FittingPiece {
  readonly turns: readonly FittingTurn[]
  readonly rimMm: number
}

/** What is needed of a piece to fit it against others. Its cut-outs stay empty. */
export function fittingPiece(piece: NestPiece, gapMm: number): FittingPiece {
  const outline = signedArea(piece.outline) > 0 ? piece.outline : [...piece.outline].reverse()
  const grown = grownBy(outline, gapMm / 2) ?? outline
  const [before, after] = [giveMm.before, giveMm.after].map((byMm) => grownBy(outline, gapMm / 2 - byMm))
  const wider = grownBy(grown, giveMm.wider) ?? grown
  const turns = turnsOf(piece).map((turnDeg, turn): FittingTurn => {
    const turned = (loop: Polygon) => loop.map((p) => turnedBy(p, turnDeg))
    const film = (loop: Polygon | null | undefined) => (loop ? filmOf([turned(loop)]) : null)
    const lying = turned(grown)
    const leastX = boundsOf(lying).min[0]
    return {
      turn,
      film: filmOf([lying]),
      before: film(before),
      after: film(after),
      wider: turned(wider),
      firstCorners: lying.filter(([x]) => x < leastX + firstMm),
    }
  })
  return { turns, rimMm: perimeter(grown) }
}

/** With sharp corners, so that neighbours meet in them; null where nothing is left. */
function grownBy(outline: Polygon, byMm: number): Polygon | null {
  if (byMm === 0) return outline
  const paths = inflatePathsD([outline.map(([x, y]) => ({ x, y }))], byMm, JoinType.Miter, EndType.Polygon, 4, 5)
  const loops = paths.map((path) => path.map(({ x, y }): Vec2 => [x, y]))
  return loops.reduce<Polygon | null>((a, b) => (a !== null && signedArea(a) >= signedArea(b) ? a : b), null)
}
