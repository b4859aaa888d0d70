import type { EdgeMargin, EdgeRules, PiecePattern } from '../align/index.ts'
import { type FormDoc, traceOutline } from '../form/index.ts'
import { cross2, type Polygon, subtract, type Vec2 } from '../geometry/index.ts'
import type { Practice } from '../practice/index.ts'
import { say, type Sentence, length } from '../say/index.ts'
import { type GrowthByEdge, type RollSheet, rollSheet } from '../stock/index.ts'
import type { FilmDoc } from './filmDoc.ts'
import type { CutWay } from './workChoices.ts'

/** What a placing has to know about where the film comes from. */
export interface CutInput {
  readonly way: CutWay
  readonly allowanceMm: number
  /** Film without a direction may be turned on the roll. */
  readonly mayTurn: boolean
  readonly rollWidthMm: number
}

/** The film of a part as it was cut, or is to be. */
export interface PieceCut {
  readonly way: CutWay
  /** By how much the piece is enlarged along each edge, mm; none where it is not. */
  readonly enlarged: readonly { readonly edge: string; readonly label: string; readonly byMm: number }[]
  /** The sheet off the roll; null where it is a piece, or no roll is wide enough. */
  readonly sheet: RollSheet | null
}

/** Tint and prints have a direction; clear and plain film looks the same whichever way it lies. */
export const mayTurnOnRoll = ({ type, patterned }: Pick<FilmDoc, 'type' | 'patterned'>): boolean =>
  type !== 'lens tint' && patterned !== true

/** Where film comes from when nobody has chosen: the piece that is there, else the roll. */
export function cutInput(
  form: Pick<FormDoc, 'family'>,
  film: Pick<FilmDoc, 'type' | 'patterned'>,
  pattern: PiecePattern | null,
  chosen: CutWay | null,
  practice: Practice,
): CutInput {
  return {
    way: pattern === null ? 'from the roll' : (chosen ?? 'pre-cut'),
    allowanceMm: form.family === 'panel' ? practice.rollAllowancePanel : practice.rollAllowanceLamp,
    mayTurn: mayTurnOnRoll(film),
    rollWidthMm: practice.rollWidth,
  }
}

/** What is not worth a cutter’s setting, mm. */
const leastGrowthMm = 0.5

/**
 * How far each edge of a piece has to grow to end in the middle of its rule; edges that reach it stay as they are. Read straight out from
 * the part's edge to the rim of the piece: beside a corner the nearest rim may be that of the next edge.
 */
export function growthToRules(
  margins: readonly Pick<EdgeMargin, 'hole' | 'edge' | 'at' | 'inward'>[],
  rim: Polygon,
  rules: EdgeRules,
): GrowthByEdge {
  const own = new Map<string, number[]>()
  for (const { hole, edge, at, inward } of margins) {
    if (hole >= 0) continue
    const overMm = rimBeyond(at, inward, rim)
    if (overMm !== null) own.set(edge, [...(own.get(edge) ?? []), overMm])
  }
  const growth: Record<string, number> = {}
  for (const [edge, over] of own) {
    const rule = rules[edge]
    const middle = over.sort((a, b) => a - b)[Math.floor(over.length / 2)]
    if (rule === undefined || middle === undefined || rule.maxMm >= 0) continue
    const byMm = -(rule.minMm + rule.maxMm) / 2 - middle
    if (byMm > leastGrowthMm) growth[edge] = byMm
  }
  return growth
}

/** How far the rim lies beyond an edge, along its normal; below nothing where film stops short. Null where it is nowhere. */
function rimBeyond(at: Vec2, inward: Vec2, rim: Polygon): number | null {
  let nearest: number | null = null
  rim.forEach((a, i) => {
    const side = subtract(rim[(i + 1) % rim.length] ?? a, a)
    const turned = cross2(inward, side)
    if (Math.abs(turned) < 1e-9) return
    const off = subtract(a, at)
    const onSide = cross2(off, inward) / turned
    const overMm = -cross2(off, side) / turned
    if (onSide >= 0 && onSide <= 1 && Math.abs(overMm) < Math.abs(nearest ?? Number.POSITIVE_INFINITY)) nearest = overMm
  })
  return nearest
}

/** Why film cannot come from there; null where it can. */
export function cutRefused(
  way: CutWay,
  { form, film, pattern }: { readonly form: FormDoc; readonly film: FilmDoc; readonly pattern: PiecePattern | null },
  practice: Practice,
): Sentence | null {
  if (way !== 'from the roll') return pattern === null ? say`No piece of a kit is there for this part.` : null
  const outline = traceOutline(form.name, form.start, form.outline)
  const input = cutInput(form, film, pattern, way, practice)
  return outline.ok && rollSheet(outline.value.polygon, input) === null ? rollTooNarrow(input) : null
}

/**
 * The sheet that a part takes off a roll, as its drawing has it: what it is on the flattened part differs by less than the allowance. Null
 * where its film is pre-cut, its form cannot be drawn, or the roll is too narrow.
 */
export function drawnSheet(
  { form, film, pattern }: { readonly form: FormDoc; readonly film: FilmDoc; readonly pattern: PiecePattern | null },
  chosen: CutWay | null,
  practice: Practice,
): RollSheet | null {
  const input = cutInput(form, film, pattern, chosen, practice)
  if (input.way !== 'from the roll') return null
  const outline = traceOutline(form.name, form.start, form.outline)
  return outline.ok ? rollSheet(outline.value.polygon, input) : null
}

/** Why no sheet can be cut: the part is too wide for the roll in either direction. */
export const rollTooNarrow = ({ rollWidthMm }: Pick<CutInput, 'rollWidthMm'>): Sentence =>
  say`The roll is ${length(rollWidthMm, 0)} wide, and this part with its surplus is wider in each direction: lay it in two pieces, or take a wider roll.`
