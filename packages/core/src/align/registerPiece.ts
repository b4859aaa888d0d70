import {
  applyRigid,
  centroid,
  distance,
  fitRigid,
  length2,
  type Polygon,
  type RigidMove,
  signedArea,
  subtract,
  thenRigid,
  turnAbout,
  type Vec2,
} from '../geometry/index.ts'
import type { FlatPart } from '../lay/index.ts'
import { done, failure, type Result, refused } from '../result/index.ts'
import {
  type EdgeRules,
  type EdgeSpots,
  edgeMargins,
  growthPerRad,
  outsideRule,
  ruleAt,
  type PlacedPiece,
} from './edgeMargins.ts'
import { estimate, leastChange, type Wish } from './leastSquares.ts'

export interface PieceMark {
  readonly name: string
  readonly at: Vec2
}

/** A piece's pattern in its own coordinates, mm. */
export interface PiecePattern {
  readonly name: string
  readonly outline: Polygon
  /** In the order of the part's holes. */
  readonly cutOuts: readonly Polygon[]
  readonly marks: readonly PieceMark[]
}

/** A mark of the part carried into the film. */
export interface TargetMark extends PieceMark {
  readonly weight: number
}

/** A piece that a step moves by less than this lies where it belongs, mm. */
const settledMm = 0.002

const leastShare = 0.6
const mostShare = 1.8

/**
 * Where the piece belongs: first its marks onto the part's marks (weighted Procrustes), or, where fewer than two are
 * shared, about `start` if that is known, else the turn in which its shape fits best; then a few Gauss-Newton steps that bring every edge as near as it goes
 * to the middle of its rule, the marks still counting.
 * Can be refused: `PIECE_TOO_SMALL`, `PIECE_TOO_LARGE`.
 */
export function registerPiece(
  part: Pick<FlatPart, 'outline' | 'holes'>,
  targets: readonly TargetMark[],
  pattern: PiecePattern,
  spots: EdgeSpots,
  rules: EdgeRules,
  start?: RigidMove,
): Result<RigidMove> {
  const piecePercent = (100 * Math.abs(signedArea(pattern.outline))) / wantedAreaMm2(part.outline, rules)
  if (piecePercent < 100 * leastShare) return refused(failure('PIECE_TOO_SMALL', { piece: pattern.name, piecePercent }))
  if (piecePercent > 100 * mostShare) return refused(failure('PIECE_TOO_LARGE', { piece: pattern.name, piecePercent }))
  const pairs = targets.flatMap((target) => {
    const mark = pattern.marks.find((m) => m.name === target.name)
    return mark ? [{ from: mark.at, to: target.at, weight: target.weight }] : []
  })
  let move =
    pairs.length < 2
      ? (start ?? turnByShape(pattern, spots, rules))
      : fitRigid(
          pairs.map((p) => p.from),
          pairs.map((p) => p.to),
          pairs.map((p) => p.weight),
        )
  const markSigmaMm = 2
  for (let round = 0; round < 4; round++) {
    const marks: Wish[] = pairs.flatMap(({ from, to, weight }) => {
      const [x, y] = applyRigid(move, from)
      const sigma = markSigmaMm / Math.sqrt(weight)
      const about = applyRigid(move, centroid(pattern.outline))
      return [
        { row: [1, 0, -(y - about[1]) / leverMm], wanted: to[0] - x, sigma },
        { row: [0, 1, (x - about[0]) / leverMm], wanted: to[1] - y, sigma },
      ] satisfies Wish[]
    })
    const step = stepToMiddle(place(pattern, move), spots, rules, () => 1, marks)
    move = thenRigid(move, step)
    const carried = subtract(applyRigid(step, centroid(spots.outline)), centroid(spots.outline))
    if (length2(carried) + Math.abs(step.turnRad) * leverMm < settledMm) break
  }
  return done(move)
}

const triedTurns = 36

/** The move that fits the shape best of many turns about the middle, each improved by a step. */
function turnByShape(pattern: PiecePattern, spots: EdgeSpots, rules: EdgeRules): RigidMove {
  const stride = Math.max(1, Math.floor(spots.spots.length / 80))
  const few: EdgeSpots = { ...spots, spots: spots.spots.filter((_, i) => i % stride === 0) }
  const from = centroid(pattern.outline)
  const to = centroid(spots.outline)
  const tried = Array.from({ length: triedTurns }, (_, k): { move: RigidMove; off: number } => {
    const turn = turnAbout(from, (2 * Math.PI * k) / triedTurns, subtract(to, from))
    const move = thenRigid(
      turn,
      stepToMiddle(place(pattern, turn), few, rules, () => 1, []),
    )
    return { move, off: offRules(place(pattern, move), few, rules) }
  })
  const best = tried.sort((a, b) => a.off - b.off).slice(0, 3)
  const finished = best.map(({ move: start }) => {
    let move = start
    for (let round = 0; round < 6; round++)
      move = thenRigid(
        move,
        stepToMiddle(place(pattern, move), few, rules, () => 1, []),
      )
    return { move, off: offRules(place(pattern, move), few, rules) }
  })
  return finished.sort((a, b) => a.off - b.off)[0]!.move
}

/** Root mean square of how far the margins are from the middle of their rules, mm. */
export function offRules(piece: PlacedPiece, spots: EdgeSpots, rules: EdgeRules): number {
  let sum = 0
  let count = 0
  for (const margin of edgeMargins(spots, piece)) {
    const rule = ruleAt(margin, rules)
    if (rule === undefined) continue
    sum += (margin.marginMm - (rule.minMm + rule.maxMm) / 2) ** 2
    count++
  }
  return count === 0 ? 0 : Math.sqrt(sum / count)
}

/** Area of a piece that ends every edge in the middle of its rule, corners left out of account, mm². */
function wantedAreaMm2({ polygon, edgeOfSide }: FlatPart['outline'], rules: EdgeRules): number {
  let area = Math.abs(signedArea(polygon))
  for (let i = 0; i < polygon.length; i++) {
    const rule = rules[edgeOfSide[i] ?? '']
    if (rule !== undefined)
      area -= (distance(polygon[i]!, polygon[(i + 1) % polygon.length]!) * (rule.minMm + rule.maxMm)) / 2
  }
  return area
}

/** Turns are counted in mm at this distance, so that all three unknowns are of like size. */
const leverMm = 300

/** Each time the margins are measured anew where the piece has come to lie; between, they are taken to grow evenly. */
const relinearised = 2
const mostWeighings = 60
/** So near to the least that is possible it is settled, in half widths of a rule. */
const settledShare = 2e-3

/**
 * From where the piece lies now, the move that leaves the most room to every rule: the largest departure from the middle
 * of the rules, as a share of their half width, is made as small as it can be (Chebyshev fit by C. Lawson's weights, 1961). Never worse than
 * where the piece lies.
 */
export function roomiestMove(piece: PlacedPiece, spots: EdgeSpots, rules: EdgeRules): RigidMove {
  let total: RigidMove = { turnRad: 0, moveMm: [0, 0] }
  let best = total
  let least = Number.POSITIVE_INFINITY
  for (let round = 0; round <= relinearised; round++) {
    const now = movePiece(piece, total)
    const departures = departuresOf(now, spots, rules)
    const largest = departures.at.reduce((most, at) => Math.max(most, Math.abs(at)), 0)
    if (largest < least) {
      least = largest
      best = total
    }
    if (round < relinearised) total = thenRigid(total, asMove(leastLargest(departures), now))
  }
  return best
}

/** How far margins are from the middle of their rules, in half widths of the rule, and how that grows with a move. */
interface Departures {
  readonly at: Float64Array
  /** Per mm to the side, per mm up, per mm that a turn moves at the lever: three for each. */
  readonly growth: Float64Array
}

function departuresOf(piece: PlacedPiece, spots: EdgeSpots, rules: EdgeRules): Departures {
  const about = centroid(piece.outline)
  const judged = edgeMargins(spots, piece).flatMap((margin) => {
    const rule = ruleAt(margin, rules)
    return rule === undefined ? [] : [{ margin, rule }]
  })
  const at = new Float64Array(judged.length)
  const growth = new Float64Array(3 * judged.length)
  judged.forEach(({ margin, rule }, i) => {
    const half = Math.max(0.1, (rule.maxMm - rule.minMm) / 2)
    at[i] = (margin.marginMm - (rule.minMm + rule.maxMm) / 2) / half
    growth[3 * i] = margin.growth[0] / half
    growth[3 * i + 1] = margin.growth[1] / half
    growth[3 * i + 2] = growthPerRad(margin, about) / leverMm / half
  })
  return { at, growth }
}

/**
 * The move that makes the largest departure least: least squares whose weights grow where most is left. The weighted mean
 * square is a bound from below, so it is known when nothing is left to gain.
 */
function leastLargest({ at, growth }: Departures): readonly [number, number, number] {
  const count = at.length
  const weights = new Float64Array(count).fill(1 / count)
  const left = new Float64Array(count)
  const normal = new Float64Array(9)
  const right = new Float64Array(3)
  let best: readonly [number, number, number] = [0, 0, 0]
  let least = at.reduce((most, a) => Math.max(most, Math.abs(a)), 0)
  for (let k = 0; k < mostWeighings; k++) {
    normal.fill(0)
    right.fill(0)
    for (let i = 0; i < count; i++)
      for (let a = 0; a < 3; a++) {
        const weighed = weights[i]! * growth[3 * i + a]!
        right[a]! -= weighed * at[i]!
        for (let b = 0; b < 3; b++) normal[3 * a + b]! += weighed * growth[3 * i + b]!
      }
    const { value } = leastChange(normal, right)
    let largest = 0
    let square = 0
    let sum = 0
    for (let i = 0; i < count; i++) {
      const g = 3 * i
      left[i] = Math.abs(at[i]! + growth[g]! * value[0] + growth[g + 1]! * value[1] + growth[g + 2]! * value[2])
      largest = Math.max(largest, left[i]!)
      square += weights[i]! * left[i]! * left[i]!
      sum += weights[i]! * left[i]!
    }
    if (largest < least) {
      least = largest
      best = value
    }
    if (!(sum > 0) || least - Math.sqrt(square) < settledShare) break
    for (let i = 0; i < count; i++) weights[i]! *= left[i]! / sum
  }
  return best
}

const asMove = ([x, y, turn]: readonly [number, number, number], piece: PlacedPiece): RigidMove =>
  turnAbout(centroid(piece.outline), turn / leverMm, [x, y])

function stepToMiddle(
  piece: PlacedPiece,
  spots: EdgeSpots,
  rules: EdgeRules,
  weight: (departureShare: number) => number,
  more: readonly Wish[],
): RigidMove {
  const about = centroid(piece.outline)
  const wishes: Wish[] = []
  for (const margin of edgeMargins(spots, piece)) {
    const rule = ruleAt(margin, rules)
    if (rule === undefined) continue
    const half = Math.max(0.1, (rule.maxMm - rule.minMm) / 2)
    const departure = Math.abs(outsideRule(margin, rules) + half) / half
    const sigma = half / Math.sqrt(weight(departure))
    wishes.push({
      row: [margin.growth[0], margin.growth[1], growthPerRad(margin, about) / leverMm],
      wanted: (rule.minMm + rule.maxMm) / 2 - margin.marginMm,
      sigma: sigma * Math.sqrt(spots.spots.length / 40),
    })
  }
  const { value } = estimate([...wishes, ...more])
  return turnAbout(about, value[2] / leverMm, [value[0], value[1]])
}

/** The pattern as it lies after a move. */
export function place(pattern: Pick<PiecePattern, 'outline' | 'cutOuts'>, move: RigidMove): PlacedPiece {
  return movePiece(pattern, move)
}

export function movePiece(piece: PlacedPiece, move: RigidMove): PlacedPiece {
  const all = (polygon: Polygon) => polygon.map((p) => applyRigid(move, p))
  return { outline: all(piece.outline), cutOuts: piece.cutOuts.map(all) }
}
