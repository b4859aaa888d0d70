import { Clipper, FillRule, type PathsD } from 'clipper2-ts'
import type { Vec2 } from '../geometry/index.ts'
import type { Lying } from './contacts.ts'
import { type FittingPiece, type FittingTurn, fittingPiece, giveMm } from './fittingPieces.ts'
import { inTheWay } from './inTheWay.ts'
import { sidesCross } from './overlap.ts'
import type { NestRequest } from './request.ts'
import { seat } from './seating.ts'
import { settle } from './settle.ts'
import { type Film, turnsOf } from './shape.ts'

/** A copy of a piece, in one of its turns, where it lies. */
export interface Fitted {
  readonly piece: number
  readonly turn: number
  readonly x: number
  readonly y: number
}

/** How many beginnings are gone on with: first few, then more if none of them came to an end. */
const widths = [40, 160] as const
/** What of their rims must touch, of all that lie, for a beginning to be gone on with: half would be all of it, as two rims touch each other. */
const leastTouching = 0.3
/** A free corner into which nothing goes is cut off by so much, so often in turn. */
const cutOff = { byMm: 4, times: 3 } as const
/** How far copies are kept apart in the end, the next where that is not enough: drawings are rounded off; mm. */
const sparesMm = [0, 0.01, 0.05, 0.2] as const
/** Where the roll has no end, mm. */
const farMm = 1e5
/** Corners that lie as near the beginning of the roll as each other, mm. */
const alikeMm = 0.02
/** What takes effort: one copy held against another, a side pushed against a side, each corner of what stays free. */
const effortOf = { pair: 100, sides: 10, free: 5e3 } as const

interface LyingTurn extends Fitted {
  readonly of: FittingTurn
}

/** What lies on the beginning of the roll, and what is still free. */
interface Beginning {
  readonly free: PathsD
  readonly laid: readonly LyingTurn[]
  /** Copies of each piece that are still to be laid. */
  readonly left: readonly number[]
  readonly touchingMm: number
  readonly rimMm: number
}

/**
 * Pieces that leave nothing between them, as those of a sheet that was cut up: the first free corner of the roll takes a piece whose own first corner
 * goes there, pushed against what lies round it, and so on; beginnings that touch most are gone on with (beam search; that rims touch as long as may be,
 * after Lodi, Martello and Vigo 1999). Pieces that do not fit each other are given up after few.
 * @returns as many copies as fit so and can be cut
 */
export function jigsawFill(request: NestRequest, effort: { spent: number }, goOn: () => boolean): readonly Fitted[] {
  const fill = new JigsawFill(request, effort, goOn)
  const laid = fill.run()
  for (const spareMm of sparesMm) {
    const settling = laid.map(({ of, x, y }) => ({ sides: of.film.sides, x, y }))
    settle(settling, fill.rims, spareMm)
    const fitted = laid.map(({ piece, turn }, i) => ({ piece, turn, x: settling[i]!.x, y: settling[i]!.y }))
    if (inTheWay(request, placementsOf(fitted, request)).length === 0) return fitted
  }
  return []
}

const placementsOf = (fitted: readonly Fitted[], { pieces }: NestRequest) =>
  fitted.map(({ piece, turn, x, y }) => {
    const of = pieces[piece]!
    return { id: of.id, copy: 0, xMm: x, yMm: y, turnDeg: turnsOf(of)[turn]! }
  })

class JigsawFill {
  private readonly pieces: readonly FittingPiece[]
  private readonly lowMm: number
  private readonly highMm: number
  /** Sides of the roll and its beginning, with half the gap round them. */
  readonly rims: Lying

  constructor(
    private readonly request: NestRequest,
    private readonly effort: { spent: number },
    private readonly goOn: () => boolean,
  ) {
    const { rollWidthMm, gapMm, borderMm = 0, pieces } = request
    this.pieces = pieces.map((piece) => fittingPiece(piece, gapMm))
    this.lowMm = borderMm - gapMm / 2
    this.highMm = rollWidthMm - this.lowMm
    const [low, high] = [this.lowMm, this.highMm]
    const sides = Float64Array.of(farMm, low, low, low, low, low, low, high, low, high, farMm, high)
    this.rims = { sides, x: 0, y: 0 }
  }

  run(): readonly LyingTurn[] {
    let most: readonly LyingTurn[] = []
    for (const width of widths) {
      const laid = this.search(width)
      if (laid.length > most.length) most = laid
      if (most.length === this.copies()) break
    }
    return most
  }

  private copies(): number {
    return this.request.pieces.reduce((sum, { count }) => sum + count, 0)
  }

  /** The most copies that fit, and of those the shortest. */
  private search(width: number): readonly LyingTurn[] {
    const { lowMm, highMm } = this
    const free = [rectangle(lowMm, lowMm, farMm, highMm)]
    let some: Beginning[] = [
      { free, laid: [], left: this.request.pieces.map(({ count }) => count), touchingMm: 0, rimMm: 0 },
    ]
    for (;;) {
      const next = new Map<string, Beginning>()
      for (const beginning of some)
        for (const further of this.furtherFrom(beginning))
          next.set(`${further.left.join()} ${Math.round(further.touchingMm)}`, further)
      if (next.size === 0 || !this.goOn()) break
      const best = [...next.values()].sort((a, b) => b.touchingMm / b.rimMm - a.touchingMm / a.rimMm).slice(0, width)
      some = best.map((beginning) => this.withoutLast(beginning))
    }
    const ends = some.map(({ laid }) => Math.max(...laid.map(({ of, x }) => of.film.maxX + x)))
    return some[ends.indexOf(Math.min(...ends))]!.laid
  }

  /** The beginning with one copy more, in all ways; where there is none, a little of the first free corner stays empty. */
  private furtherFrom(beginning: Beginning): Beginning[] {
    let { free } = beginning
    for (let cut = 0; cut <= cutOff.times && this.goOn(); cut++) {
      const corner = firstCorner(free)
      if (corner === null) return []
      const further = this.pieces.flatMap((piece, k) =>
        beginning.left[k] === 0 ? [] : this.withPiece({ ...beginning, free }, piece, k, corner),
      )
      if (further.length > 0) return further
      free = this.without(free, squareAt(corner, cutOff.byMm))
    }
    return []
  }

  private withPiece(beginning: Beginning, { turns, rimMm }: FittingPiece, k: number, corner: Vec2): Beginning[] {
    const further: Beginning[] = []
    for (const of of turns)
      for (const first of of.firstCorners) {
        const seated = this.placeOf(beginning, of, corner[0] - first[0], corner[1] - first[1])
        if (seated === null) continue
        const { x, y } = seated
        const touchingMm = beginning.touchingMm + seated.touchingMm
        const rims = beginning.rimMm + rimMm
        if (touchingMm < leastTouching * rims) continue
        const left = beginning.left.map((count, i) => count - (i === k ? 1 : 0))
        const laid = [...beginning.laid, { piece: k, turn: of.turn, x, y, of }]
        further.push({ free: beginning.free, laid, left, touchingMm, rimMm: rims })
      }
    return further
  }

  /** Where a copy comes to lie near a place, pushed against what lies round it; null where it has no room. */
  private placeOf({ laid }: Beginning, of: FittingTurn, x: number, y: number) {
    if (!this.isOnRoll(of.film, x, y, giveMm.before) || !this.isFree(laid, of, 'before', x, y)) return null
    const near = laid.filter((other) => comeNear(of.film, other.of.film, other.x - x, other.y - y))
    const neighbours = near.map((other) => ({ sides: other.of.film.sides, x: other.x, y: other.y }))
    const theirs = neighbours.reduce((sum, { sides }) => sum + sides.length, 0)
    this.effort.spent += (effortOf.sides * of.film.sides.length * theirs) / 16
    const seated = seat({ sides: of.film.sides, x, y }, [this.rims, ...neighbours])
    if (!this.isOnRoll(of.film, seated.x, seated.y, 2 * giveMm.after)) return null
    return this.isFree(near, of, 'after', seated.x, seated.y) ? seated : null
  }

  private isOnRoll(film: Film, x: number, y: number, offMm: number): boolean {
    const { lowMm, highMm } = this
    return y + film.minY > lowMm - offMm && y + film.maxY < highMm + offMm && x + film.minX > lowMm - offMm
  }

  private isFree(laid: readonly LyingTurn[], of: FittingTurn, by: 'before' | 'after', x: number, y: number): boolean {
    const mine = of[by]
    if (mine === null) return true
    this.effort.spent += effortOf.pair * laid.length
    return !laid.some((other) => {
      const its = other.of[by]
      return its !== null && sidesCross(mine, its, other.x - x, other.y - y)
    })
  }

  private withoutLast(beginning: Beginning): Beginning {
    const { of, x, y } = beginning.laid.at(-1)!
    return {
      ...beginning,
      free: this.without(
        beginning.free,
        of.wider.map(([px, py]) => ({ x: px + x, y: py + y })),
      ),
    }
  }

  private without(free: PathsD, film: PathsD[number]): PathsD {
    this.effort.spent += effortOf.free * free.reduce((sum, path) => sum + path.length, film.length)
    return Clipper.differenceD(free, [film], FillRule.NonZero, 4)
  }
}

/** `dx, dy` = place of `b` less place of `a`. */
const comeNear = (a: Film, b: Film, dx: number, dy: number) =>
  b.minX + dx < a.maxX + giveMm.before &&
  b.maxX + dx > a.minX - giveMm.before &&
  b.minY + dy < a.maxY + giveMm.before &&
  b.maxY + dy > a.minY - giveMm.before

const rectangle = (x0: number, y0: number, x1: number, y1: number) => [
  { x: x0, y: y0 },
  { x: x1, y: y0 },
  { x: x1, y: y1 },
  { x: x0, y: y1 },
]
const squareAt = ([x, y]: Vec2, byMm: number) => rectangle(x - byMm, y - byMm, x + byMm, y + byMm)

/** The free corner nearest the beginning of the roll, the lowest of those alike. */
function firstCorner(free: PathsD): Vec2 | null {
  let best: Vec2 | null = null
  for (const path of free)
    for (const { x, y } of path)
      if (best === null || x < best[0] - alikeMm || (x < best[0] + alikeMm && y < best[1])) best = [x, y]
  return best
}
