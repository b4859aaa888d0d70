import type { EdgeRules, PiecePattern } from '../align/index.ts'
import type { FormDoc } from '../form/index.ts'
import { type LaidPart, type LayInput, layPart, type LayPartOptions, type StageFilm } from '../lay/index.ts'
import { type Grade, type LampUse, plainLens } from '../light/index.ts'
import type { Stock } from '../mix/index.ts'
import type { Practice } from '../practice/index.ts'
import type { Result } from '../result/index.ts'
import { edgeRulesOf } from './edgeRules.ts'
import { type FilmDoc, isTint } from './filmDoc.ts'
import type { FoundOnPart } from './findings.ts'
import { cutInput } from './pieceCut.ts'
import { rehearsalOptions } from './orderFigures.ts'
import type { PartPlan } from './partPlan.ts'
import { type PlacedPart, type PlaceInput, placeOn } from './placeOn.ts'
import type { Today, WorkInput } from './conditions.ts'
import { planWork } from './planWork.ts'
import { liquidRefused } from './liquidOptions.ts'
import { type ChosenOrder, schoolsFor } from './schools.ts'
import type { LinePlace, SetPlace } from './setPlace.ts'
import { withEnds, type WorkChoices } from './workChoices.ts'

/** What is known of a part, from whatever brought it: a job, a file, a test. */
export interface PartFacts {
  readonly partId: string
  readonly partName: string
  readonly form: FormDoc
  readonly film: FilmDoc
  /** Films at hand, of which another may suit a lens better. */
  readonly films: readonly FilmDoc[]
  /** Null where the film is cut from the roll. */
  readonly pattern: PiecePattern | null
  readonly found: readonly FoundOnPart[]
  readonly low: boolean
  readonly chosen: ChosenOrder | null
  /** How its edges end and on what it floats, where somebody has chosen. */
  readonly choices: WorkChoices
  /** Where it stands among parts that are fitted with it; null = by itself. */
  readonly set: SetPlace | null
  /** False where its form is only that of an ordinary part of its kind. */
  readonly measured: boolean
  /** How it gets its line; null where it stands in no row. */
  readonly line: LinePlace | null
  /** What the lamp there is for, where it is one. */
  readonly lampUse?: LampUse | null
  readonly stock: Stock
  readonly practice: Practice
}

/** What each storey of a part is asked, and nothing more: each of the three is the key under which its answer may be kept. */
export interface PartQuestion {
  readonly lay: LayInput
  readonly place: PlaceInput
  readonly work: WorkInput
}

/** The facts of a part, handed to the storeys that hang on them. */
export function partQuestion(facts: PartFacts): PartQuestion {
  const { form, film, films, pattern, found, chosen, practice, choices, ...part } = facts
  const ended = withEnds(form, choices.ends)
  const rules: EdgeRules = edgeRulesOf(ended, practice, found)
  const { liquids } = choices
  const cannot = liquids === null ? null : liquidRefused(liquids, { form, film, found }, practice)
  return {
    lay: { form, film: filmToLay(film), order: chosen?.order ?? null, rehearsal: rehearsalOptions(practice) },
    place: {
      pattern,
      rules,
      cutTo: edgeRulesOf(form, practice, found),
      ends: choices.ends,
      cut: cutInput(form, film, pattern, choices.cut, practice),
    },
    work: {
      ...part,
      film,
      found,
      chosen,
      practice,
      // What was found since may forbid what was chosen: then the usual way is taken, and that is said.
      schools: schoolsFor(ended, film, found, chosen, cannot === null ? liquids : null),
      liquidRefused: cannot,
      hands: choices.hands,
      light: choices.light ?? plainLens,
      grades: gradesLike(film, films, practice),
    },
  }
}

/** Tinted films of which one says how much light they let through, plain with plain and patterned with patterned. */
function gradesLike(film: FilmDoc, films: readonly FilmDoc[], practice: Practice): Grade[] {
  const like = films.filter(
    (other) => isTint(other, practice) && (other.patterned ?? false) === (film.patterned ?? false),
  )
  return like.flatMap(({ name, transmission }) => (transmission === undefined ? [] : [{ name, transmission }]))
}

/** What a lay has to know about a film. */
export const filmToLay = ({ handling, laid, patterned }: FilmDoc): StageFilm => {
  if (patterned !== true) return patterned === undefined ? { handling, laid } : { handling, laid, patterned }
  // A pattern is not to be drawn further than it bears, whatever the film itself would give.
  const { easyStretch, coldStretch, warmStretch, patternStretch } = handling
  const most = (stretch: number) => Math.min(stretch, patternStretch)
  return {
    handling: {
      ...handling,
      easyStretch: most(easyStretch),
      coldStretch: most(coldStretch),
      warmStretch: most(warmStretch),
    },
    laid,
    patterned,
  }
}

/** All three storeys of a part, one after the other. Can be refused: what `layPart`, `placeOn` and `planWork` find. */
export function climb(
  question: PartQuestion,
  today: Today,
  options: LayPartOptions = {},
): Result<{ readonly laid: LaidPart; readonly placed: PlacedPart; readonly plan: PartPlan }> {
  const laid = layPart(question.lay, options)
  if (!laid.ok) return laid
  const placed = placeOn(laid.value, question.place)
  if (!placed.ok) return placed
  const plan = planWork(placed.value, { ...question.work, ...today })
  return plan.ok ? { ok: true, value: { laid: laid.value, placed: placed.value, plan: plan.value } } : plan
}
