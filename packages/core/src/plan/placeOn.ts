import {
  edgeSpots,
  type EdgeRules,
  type EdgeSpots,
  matchCutOuts,
  type PiecePattern,
  place,
  type PlacedPiece,
  registerPiece,
  type TargetMark,
} from '../align/index.ts'
import type { FormDoc } from '../form/index.ts'
import type { RigidMove } from '../geometry/index.ts'
import { type FlatPart, flatPart, type LaidPart } from '../lay/index.ts'
import { done, type Result } from '../result/index.ts'
import { cutPattern } from '../stock/index.ts'
import { withEnds, type WorkChoices } from './workChoices.ts'

/** What a placing hangs on besides the lay. */
export interface PlaceInput {
  /** Null where the film is cut from the roll, to the middle of each edge's rule. */
  readonly pattern: PiecePattern | null
  readonly rules: EdgeRules
  /** How edges end where it is not as the form says. */
  readonly ends: WorkChoices['ends']
}

/** The second storey: the part in the film plane, and the piece where it belongs on it. */
export interface PlacedPart {
  readonly laid: LaidPart
  /** The form with its edges as they end here. */
  readonly form: FormDoc
  readonly part: FlatPart
  readonly targets: readonly TargetMark[]
  readonly spots: EdgeSpots
  readonly rules: EdgeRules
  readonly registered: RigidMove
  /** The pattern that is placed: the piece's own, or one cut to the rules. */
  readonly pattern: PiecePattern
  readonly fromRoll: boolean
  /** The piece where it was registered, before anybody moves it. */
  readonly piece: PlacedPiece
}

/** Spots for margins are no further apart than this, mm. */
const spotStepMm = 8

/** Carries a laid part into the film and registers the piece on it. Can be refused: what `registerPiece` finds. */
export function placeOn(laid: LaidPart, { pattern: given, rules, ends }: PlaceInput): Result<PlacedPart> {
  const { surface, worked } = laid
  const form = withEnds(laid.form, ends)
  const part = flatPart(surface, worked)
  const spots = edgeSpots(part, spotStepMm)
  const targets = form.marks.map((m) => ({ name: m.name, at: part.toFlat(m.at), weight: m.weight }))
  const pattern = given === null ? patternToRules(form, part, rules) : matchCutOuts(part, targets, given, spots, rules)
  const registered = registerPiece(part, targets, pattern, spots, rules)
  if (!registered.ok) return registered
  const piece = place(pattern, registered.value)
  return done({
    laid,
    form,
    part,
    targets,
    spots,
    rules,
    registered: registered.value,
    pattern,
    fromRoll: given === null,
    piece,
  })
}

/** A pattern that ends every edge in the middle of its rule. */
export const patternToRules = (form: Pick<FormDoc, 'name' | 'marks'>, part: FlatPart, rules: EdgeRules): PiecePattern =>
  cutPattern(part, {
    name: form.name,
    growth: Object.fromEntries(Object.entries(rules).map(([edge, r]) => [edge, -(r.minMm + r.maxMm) / 2])),
    marks: form.marks,
  })
