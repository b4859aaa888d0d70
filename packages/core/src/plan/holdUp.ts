import { type DryCheck, dryCheck } from '../align/index.ts'
import type { Practice } from '../practice/index.ts'
import { done, type Result } from '../result/index.ts'
import { barWidthMm, type CutSize, cutSize, type RollOrPattern, rollOrPattern } from '../stock/index.ts'
import type { FilmDoc } from './filmDoc.ts'
import type { PieceCut } from './pieceCut.ts'
import type { PlacedPart, PlaceInput } from './placeOn.ts'

/** What holding a piece up to its part shows, and what would be cut from the roll instead. */
export interface HeldUp {
  /** Where its film comes from, as it was chosen. */
  readonly cut: PieceCut
  /** Null where there is no piece to hold up, or the roll was chosen in its place. */
  readonly check: DryCheck | null
  readonly advice: RollOrPattern
  /** Sheet to cut from the roll. */
  readonly sheet: CutSize
  /** Face and tuck of a narrow part, mm; null for others. */
  readonly barWidthMm: number | null
  /** Film stretch that the worked lay needs at its worst place, ratio above 1. */
  readonly neededStretch: number
}

/** The piece against its part before anything is peeled, and whether to cut from the roll. Can be refused: what `dryCheck` finds. */
export function holdUp(
  { laid, part, targets, spots, rules, cut, pattern: placed }: PlacedPart,
  { pattern }: Pick<PlaceInput, 'pattern'>,
  film: Pick<FilmDoc, 'type'>,
  practice: Practice,
): Result<HeldUp> {
  const { form, worked } = laid
  const labels = new Map([...form.edges, ...form.holes].map((e) => [e.name, e.label]))
  const check =
    pattern === null || cut.way === 'from the roll'
      ? null
      : dryCheck({
          part,
          holeNames: form.holes.map((hole) => hole.label),
          targets,
          // As it comes, or as it was grown to the edges.
          pattern: cut.way === 'enlarged' ? placed : pattern,
          spots,
          rules,
          edgeLabel: (edge) => labels.get(edge) ?? edge,
        })
  if (check !== null && !check.ok) return check
  const { neededStretch } = worked
  const hasDirection = film.type === 'lens tint'
  const advice = rollOrPattern({ form, patternAtHand: pattern !== null, neededStretch, hasDirection }, practice)
  const sheet = cutSize(part.outline.polygon, advice.allowanceMm, !hasDirection)
  const tuck = form.edges.find((e) => e.code === 'tuck')
  const face = sheet.widthMm - 2 * advice.allowanceMm
  return done({
    cut,
    check: check === null ? null : check.value,
    advice,
    sheet,
    barWidthMm: form.family === 'trim' && tuck !== undefined ? barWidthMm(face, -(rules[tuck.name]?.minMm ?? 0)) : null,
    neededStretch,
  })
}
