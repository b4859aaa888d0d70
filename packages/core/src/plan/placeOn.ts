import {
  edgeMargins,
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
import { cutPattern, enlargePattern, type GrowthByEdge, rollSheet } from '../stock/index.ts'
import { type CutInput, growthToRules, type PieceCut } from './pieceCut.ts'
import { withEnds, type WorkChoices } from './workChoices.ts'

/** What a placing hangs on besides the lay. */
export interface PlaceInput {
  /** Null where the film is cut from the roll, to the middle of each edge's rule. */
  readonly pattern: PiecePattern | null
  readonly rules: EdgeRules
  /** The rules that the piece was cut to: those of the form as it is. */
  readonly cutTo: EdgeRules
  /** How edges end where it is not as the form says. */
  readonly ends: WorkChoices['ends']
  readonly cut: CutInput
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
  readonly cut: PieceCut
  /** The piece where it was registered, before anybody moves it. */
  readonly piece: PlacedPiece
}

/** Spots for margins are no further apart than this, mm. */
const spotStepMm = 8

/** A pattern cut to the part lies on it as it was drawn. */
const asDrawn: RigidMove = { turnRad: 0, moveMm: [0, 0] }

/** Carries a laid part into the film and registers the piece on it. Can be refused: what `registerPiece` finds. */
export function placeOn(laid: LaidPart, { pattern: given, rules, cutTo, ends, cut }: PlaceInput): Result<PlacedPart> {
  const { surface, worked } = laid
  const form = withEnds(laid.form, ends)
  const part = flatPart(surface, worked)
  const spots = edgeSpots(part, spotStepMm)
  const targets = form.marks.map((m) => ({ name: m.name, at: part.toFlat(m.at), weight: m.weight }))
  const registeredAs = (p: PiecePattern, to: EdgeRules, start?: RigidMove) =>
    registerPiece(part, targets, p, spots, to, start)
  const fromRoll = given === null || cut.way === 'from the roll'
  let pattern = fromRoll ? patternToRules(form, part, rules) : matchCutOuts(part, targets, given, spots, cutTo)
  const enlarged = !fromRoll && cut.way === 'enlarged'
  let registered = registeredAs(pattern, enlarged ? cutTo : rules, fromRoll ? asDrawn : undefined)
  if (!registered.ok) return registered
  let growth: GrowthByEdge = {}
  if (enlarged) {
    const asCut = place(pattern, registered.value)
    growth = growthToRules(edgeMargins(spots, asCut), asCut.outline, rules)
    pattern = enlargePattern(pattern, part, registered.value, growth)
    registered = registeredAs(pattern, rules, registered.value)
    if (!registered.ok) return registered
  }
  const piece = place(pattern, registered.value)
  const labelOf = (edge: string) => form.edges.find((e) => e.name === edge)?.label ?? edge
  return done({
    laid,
    form,
    part,
    targets,
    spots,
    rules,
    registered: registered.value,
    pattern,
    cut: {
      way: fromRoll ? 'from the roll' : cut.way,
      enlarged: Object.entries(growth).map(([edge, byMm]) => ({ edge, label: labelOf(edge), byMm })),
      sheet: fromRoll ? rollSheet(part.outline.polygon, cut) : null,
    },
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
