import { matchCutOuts } from './matchCutOuts.ts'
import { applyRigid, distance, type RigidMove } from '../geometry/index.ts'
import type { FlatPart } from '../lay/index.ts'
import { done, type Result } from '../result/index.ts'
import { coverage } from './coverage.ts'
import { type EdgeRules, type EdgeSpots, type EdgeSummary, edgeMargins, summarizeEdges } from './edgeMargins.ts'
import {
  offRules,
  type PiecePattern,
  place,
  registerPiece,
  roomiestMove,
  movePiece,
  type TargetMark,
} from './registerPiece.ts'
import { counted, length, list, name, say, type Sentence } from '../say/index.ts'

/** What holding the piece up to the part, liner on, would show. */
export interface DryCheck {
  readonly verdict: 'fits' | 'fits when moved' | 'does not fit' | 'other side'
  /** In the trade's words, the most important first. */
  readonly words: readonly Sentence[]
  /** Share of the part under film, 0..1. */
  readonly covered: number
  readonly edges: readonly EdgeSummary[]
  /** How far marks of piece and part lie apart, mm, root mean square; null where they share fewer than two. */
  readonly marksOffMm: number | null
  readonly holes: readonly { readonly name: string; readonly coveredMm2: number }[]
  readonly registered: RigidMove
}

export interface DryCheckInput {
  readonly part: Pick<FlatPart, 'outline' | 'holes'>
  readonly holeNames: readonly string[]
  readonly targets: readonly TargetMark[]
  readonly pattern: PiecePattern
  readonly spots: EdgeSpots
  readonly rules: EdgeRules
  readonly edgeLabel: (edge: string) => string
}

/** A mirrored piece must fit this many times better before it is called one for the other side. */
const clearlyBetter = 3
const notedMm = 1

/**
 * The pattern against the part, before anything is peeled: coverage end to end, holes on features, margins at every
 * edge, and whether the piece is one for the other side (its mirror image fits clearly better).
 * Can be refused as `registerPiece` can.
 */
export function dryCheck(input: DryCheckInput): Result<DryCheck> {
  const { part, holeNames, targets, spots, rules, edgeLabel } = input
  const pattern = matchCutOuts(part, targets, input.pattern, spots, rules)
  const asIs = registerPiece(part, targets, pattern, spots, rules)
  if (!asIs.ok) return asIs
  const turned = mirrored(pattern)
  const other = registerPiece(part, targets, turned, spots, rules)
  const offAsIs = misfit(pattern, asIs.value, input)
  const offOther = other.ok ? misfit(turned, other.value, input) : Number.POSITIVE_INFINITY
  const otherSide = offAsIs > notedMm && offOther * clearlyBetter < offAsIs

  const placed = place(pattern, asIs.value)
  const margins = edgeMargins(spots, placed)
  const edges = summarizeEdges(margins, rules)
  const roomy = movePiece(placed, roomiestMove(placed, spots, rules))
  const bestOutside = Math.max(
    ...summarizeEdges(edgeMargins(spots, roomy), rules).map((e) => e.outsideMm),
    Number.NEGATIVE_INFINITY,
  )
  const covered = coverage(part, placed)
  const holes = part.holes.map((hole, i) => ({
    name: holeNames[i] ?? String(i + 1),
    coveredMm2: coverage({ outline: part.outline, holes: [hole] }, placed).coveredHolesMm2,
  }))
  const worst = edges[0]
  const outside = worst?.outsideMm ?? 0
  const verdict = otherSide
    ? 'other side'
    : outside <= 0
      ? 'fits'
      : bestOutside <= 0
        ? 'fits when moved'
        : 'does not fit'
  const overHoles = holes.filter((hole) => hole.coveredMm2 > 20)
  const missing = part.holes.length - pattern.cutOuts.length
  const words = [
    ...(otherSide ? [say`This is the piece for the other side: its mirror image fits.`] : []),
    ...(missing > 0
      ? [
          say`${counted(missing, '# cut-out is', '# cut-outs are')} missing: ${list(holeNames.slice(pattern.cutOuts.length))}.`,
        ]
      : []),
    ...(overHoles.length > 0 && missing <= 0 ? [say`Film lies over ${list(overHoles.map((h) => h.name))}.`] : []),
    ...(verdict === 'fits' ? [say`Covers the part, every edge inside its rule.`] : []),
    ...(verdict === 'fits when moved' && worst
      ? [say`The ${name(edgeLabel(worst.edge))} is ${length(outside)} outside its rule; moved a little, all edges fit.`]
      : []),
    ...(verdict === 'does not fit' && worst
      ? [
          say`However it is moved, an edge stays ${length(bestOutside)} outside its rule, most at the ${name(edgeLabel(worst.edge))}. The kit or the body is off.`,
        ]
      : []),
  ]
  return done({
    verdict,
    words,
    covered: covered.covered,
    edges,
    marksOffMm: marksOff(pattern, asIs.value, targets),
    holes,
    registered: asIs.value,
  })
}

function misfit(pattern: PiecePattern, move: RigidMove, { targets, spots, rules }: DryCheckInput): number {
  const edges = offRules(place(pattern, move), spots, rules)
  return Math.hypot(edges, marksOff(pattern, move, targets) ?? 0)
}

function marksOff(pattern: PiecePattern, move: RigidMove, targets: readonly TargetMark[]): number | null {
  const offs = targets.flatMap((target) => {
    const mark = pattern.marks.find((m) => m.name === target.name)
    return mark ? [distance(applyRigid(move, mark.at), target.at)] : []
  })
  return offs.length < 2 ? null : Math.sqrt(offs.reduce((sum, off) => sum + off * off, 0) / offs.length)
}

/** The piece turned over, its adhesive on the wrong face. */
export function mirrored(pattern: PiecePattern): PiecePattern {
  const flip = ([x, y]: readonly [number, number]): [number, number] => [-x, y]
  return {
    name: pattern.name,
    outline: pattern.outline.map(flip).reverse(),
    cutOuts: pattern.cutOuts.map((hole) => hole.map(flip).reverse()),
    marks: pattern.marks.map((mark) => ({ name: mark.name, at: flip(mark.at) })),
  }
}
