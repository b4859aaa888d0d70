import { EndType, inflatePathsD, JoinType } from 'clipper2-ts'
import { boundsOf, type Polygon, rotate, signedArea, type Vec2 } from '../geometry/index.ts'
import { radFromDeg } from '../units/index.ts'
import { fewerSidesOutward } from './outward.ts'
import { type Pole, polesOf } from './poles.ts'
import type { NestPiece } from './request.ts'

/** A piece in one of its turns, with half the gap round it: two of these may touch. */
export interface Shape extends Film {
  readonly turnDeg: number
  /** x, y, radius of each inscribed circle. */
  readonly poles: Float64Array
  /** The piece itself, without gap. */
  readonly piece: { readonly minX: number; readonly minY: number; readonly maxX: number; readonly maxY: number }
}

/** What covers film, as sides that are quickly looked through. */
export interface Film {
  /** Each side as x, y of its beginning and its end; outline and openings. */
  readonly sides: Float64Array
  /** Box of each eight sides: least x, y, greatest x, y. */
  readonly boxes: Float64Array
  /** First side of each loop. */
  readonly loops: readonly number[]
  readonly minX: number
  readonly minY: number
  readonly maxX: number
  readonly maxY: number
}

/** What is the same in all turns of a piece. */
export interface Shapes {
  readonly id: string
  readonly turns: readonly Shape[]
  /** Of the piece without its openings, mm². */
  readonly areaMm2: number
  /** Fourth root of that area: how large it counts beside another. */
  readonly rootMm: number
  /** Longest way across its box, mm. */
  readonly acrossMm: number
}

/** Arcs round corners are drawn as chords that cut off no more than this; the gap is widened by it. */
const arcMm = 0.004
const decimals = 5

const quarterTurns = [0, 90, 180, 270] as const

export const turnsOf = ({ turns }: NestPiece): readonly number[] =>
  turns === undefined || turns.length === 0 ? quarterTurns : turns

/** @param giveMm by how much sides may give way outward, so that fewer are left to reckon with */
export function shapesOf(piece: NestPiece, gapMm: number, giveMm: number): Shapes {
  const loops = withGap(piece, gapMm / 2).map((loop) => fewerSidesOutward(loop, giveMm))
  const areaMm2 =
    Math.abs(signedArea(piece.outline)) -
    (piece.cutOuts ?? []).reduce((sum, hole) => sum + Math.abs(signedArea(hole)), 0)
  const poles = polesOf(loops, areaMm2)
  const { min, max } = boundsOf(piece.outline)
  return {
    id: piece.id,
    turns: turnsOf(piece).map((turnDeg) => turned(piece.outline, loops, poles, turnDeg)),
    areaMm2,
    rootMm: Math.sqrt(Math.sqrt(areaMm2)),
    acrossMm: Math.hypot(max[0] - min[0], max[1] - min[1]),
  }
}

/** The piece wider by `byMm` all round, openings narrower by it; never less than that, and little more. */
function withGap({ outline, cutOuts = [] }: NestPiece, byMm: number): Polygon[] {
  const rings = [outline, ...cutOuts].map((loop, i) => {
    const along = signedArea(loop) > 0 === (i === 0) ? loop : [...loop].reverse()
    return along.map(([x, y]) => ({ x, y }))
  })
  const wider = inflatePathsD(rings, byMm + (byMm > 0 ? arcMm : 0), JoinType.Round, EndType.Polygon, 2, decimals, arcMm)
  return wider.map((path) => path.map(({ x, y }): Vec2 => [x, y])).filter((loop) => loop.length > 2)
}

/** So many sides share a box. */
export const sidesInBox = 8

function boxesOf(sides: readonly number[]): Float64Array {
  const boxes: number[] = []
  for (let from = 0; from < sides.length; from += 4 * sidesInBox) {
    const some = sides.slice(from, from + 4 * sidesInBox)
    const xs = some.filter((_, k) => k % 2 === 0)
    const ys = some.filter((_, k) => k % 2 === 1)
    boxes.push(Math.min(...xs), Math.min(...ys), Math.max(...xs), Math.max(...ys))
  }
  return Float64Array.from(boxes)
}

/** Turned about the origin; quarters exactly. */
export function turnedBy(p: Vec2, turnDeg: number): Vec2 {
  const quarters = turnDeg / 90
  if (!Number.isInteger(quarters)) return rotate(p, radFromDeg(turnDeg))
  const [x, y] = p
  return (
    [
      [x, y],
      [-y, x],
      [-x, -y],
      [y, -x],
    ] as const
  )[((quarters % 4) + 4) % 4]!
}

/** Sides, boxes and loops of closed lines, which are the film of a shape. */
export function filmOf(loops: readonly Polygon[]): Film {
  const firsts: number[] = []
  const sides: number[] = []
  for (const loop of loops) {
    firsts.push(sides.length / 4)
    loop.forEach((p, i) => {
      sides.push(...p, ...loop[(i + 1) % loop.length]!)
    })
  }
  const { min, max } = boundsOf(loops.flat())
  return {
    sides: Float64Array.from(sides),
    boxes: boxesOf(sides),
    loops: firsts,
    minX: min[0],
    minY: min[1],
    maxX: max[0],
    maxY: max[1],
  }
}

function turned(outline: Polygon, loops: readonly Polygon[], poles: readonly Pole[], turnDeg: number): Shape {
  const itself = boundsOf(outline.map((p) => turnedBy(p, turnDeg)))
  return {
    turnDeg,
    ...filmOf(loops.map((loop) => loop.map((p) => turnedBy(p, turnDeg)))),
    poles: Float64Array.from(poles.flatMap(({ x, y, radiusMm }) => [...turnedBy([x, y], turnDeg), radiusMm])),
    piece: { minX: itself.min[0], minY: itself.min[1], maxX: itself.max[0], maxY: itself.max[1] },
  }
}
