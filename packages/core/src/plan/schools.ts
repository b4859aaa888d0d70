import type { Practice } from '../practice/index.ts'
import type { FormDoc } from '../form/index.ts'
import { type LayOrder, orderName, type SchoolName, schoolWords } from '../lay/index.ts'
import { type LiquidSchool, liquidSchoolWords } from '../mix/index.ts'
import { isEmpty, length, list, name, say, type Sentence } from '../say/index.ts'
import type { FilmDoc } from './filmDoc.ts'
import type { FoundOnPart } from './findings.ts'
import { pairReason } from './liquidPairs.ts'
import { liesAsDome } from './lying.ts'
import type { SchoolChoice } from './partPlan.ts'
import type { PieceCut } from './pieceCut.ts'
import { type CutWay, cutWayWords, type LiquidPair } from './workChoices.ts'

/** Named choices, one a question. */
export interface Schools {
  readonly slip: LiquidSchool
  readonly tack: LiquidSchool
  readonly begin: SchoolName
}

/** An order that the installer has chosen for a part, and why. */
export interface ChosenOrder {
  readonly order: LayOrder
  readonly because: Sentence
}

/** The schools that suit a film on a form, as a shop would choose them without thinking twice. */
export function usualSchools(
  form: Pick<FormDoc, 'family' | 'edges'>,
  film: Pick<FilmDoc, 'laid' | 'type'>,
  found: readonly FoundOnPart[] = [],
): Schools {
  if (liesAsDome(form, film)) return { slip: 'dry', tack: 'dry', begin: 'spiral' }
  if (film.laid === 'dry')
    return { slip: 'dry', tack: 'dry', begin: form.family === 'panel' ? 'corners first' : beginOf[form.family] }
  // A damaged lens takes no alcohol: water washes the slip out instead, and bonds a day later.
  if (found.some((f) => f.kind === 'cracked lens' || f.kind === 'crazed lens'))
    return { slip: 'water only', tack: 'water only', begin: beginOf[form.family] }
  if (form.family === 'trim') return { slip: 'light slip', tack: 'weak tack', begin: 'one end and follow' }
  if (form.family === 'lamp') return { slip: 'water only', tack: 'weak tack', begin: 'flattest first' }
  return { slip: 'light slip', tack: 'weak tack', begin: 'corners first' }
}

const beginOf: Readonly<Record<FormDoc['family'], SchoolName>> = {
  panel: 'corners first',
  lamp: 'flattest first',
  trim: 'one end and follow',
}

/** The usual schools, with where to begin as the chosen order says and liquids as they were chosen. */
export function schoolsFor(
  form: Pick<FormDoc, 'family' | 'edges'>,
  film: Pick<FilmDoc, 'laid' | 'type'>,
  found: readonly FoundOnPart[],
  chosen: ChosenOrder | null,
  liquids: LiquidPair | null = null,
): Schools {
  const usual = { ...usualSchools(form, film, found), ...liquids }
  // In one fluid the film is fixed in its middle, and goes over the form from there.
  if (liquids?.slip === 'single fluid' && chosen === null) return { ...usual, begin: 'centre out' }
  return chosen === null ? usual : { ...usual, begin: chosen.order.school }
}

/** Each choice with its reason and what the other school would change. */
export function explainSchools(
  schools: Schools,
  form: Pick<FormDoc, 'family'>,
  film: FilmDoc,
  practice: Pick<Practice, 'releaseLength'>,
  { chosen, cut }: { readonly chosen: ChosenOrder | null; readonly cut: PieceCut },
): SchoolChoice[] {
  const fromRoll = cut.way === 'from the roll'
  const reasons = beginReasons(practice, fromRoll)[schools.begin]
  const because = chosen === null || isEmpty(chosen.because) ? reasons.reason : chosen.because
  return [
    schools.slip === 'dry' ? dryChoice(film) : wetChoice(schools, form),
    {
      question: say`Where to begin`,
      choice: chosen === null ? schoolWords[schools.begin] : orderName(chosen.order),
      reason: because,
      otherwise: reasons.otherwise,
    },
    cutChoice(cut),
  ]
}

const cutReasons: Readonly<Record<CutWay, { readonly reason: Sentence; readonly otherwise: Sentence }>> = {
  'pre-cut': {
    reason: say`A piece is at hand, and it wants no measuring.`,
    otherwise: say`Off the roll there would be more to hold, and every edge to trim.`,
  },
  enlarged: {
    reason: say`The piece, grown along the edges that it is to pass: the rest stays as it was cut.`,
    otherwise: say`As it comes, those edges would stop where the pattern ends.`,
  },
  'from the roll': {
    reason: say`A sheet with surplus to hold and to pull by; every edge is cut on the vehicle.`,
    otherwise: say`A piece would spare the cuts, where there is one that fits.`,
  },
}

/** Where the film comes from, with the sheet or the edges that were grown. */
function cutChoice({ way, sheet, enlarged }: PieceCut): SchoolChoice {
  const grown = enlarged.map(({ label, byMm }) => say`${length(byMm)} at the ${name(label)}`)
  const choice =
    sheet !== null
      ? say`${cutWayWords[way]}, ${length(sheet.lengthMm, 0)} by ${length(sheet.widthMm, 0)}`
      : grown.length > 0
        ? say`${cutWayWords[way]}: ${list(grown)}`
        : cutWayWords[way]
  return { question: say`Piece`, choice, ...cutReasons[way] }
}

const dryChoice = (film: FilmDoc): SchoolChoice => ({
  question: say`Liquid`,
  choice: say`dry`,
  reason: say`${name(film.name)} is made to be laid dry; water under it stops the adhesive for good.`,
  otherwise: say`A mist of water would let you slide it, but it bonds a day later.`,
})

const wetReasons: Readonly<Record<FormDoc['family'], Sentence>> = {
  panel: say`A panel is large: the film floats until it sits right, then weak tack flushes the soap out.`,
  lamp: say`A lens shows every trace of soap, and its film has to hold at once where it is pulled.`,
  trim: say`A narrow part wants little: slip enough to level it, then weak tack at its edges.`,
}

/** The pair that a family floats on when nobody has chosen another. */
const isUsual = (slip: LiquidSchool, tack: LiquidSchool, family: FormDoc['family']) =>
  tack === 'weak tack' && slip === (family === 'lamp' ? 'water only' : 'light slip')

const wetChoice = ({ slip, tack }: Schools, { family }: Pick<FormDoc, 'family'>): SchoolChoice => ({
  question: say`Liquid`,
  choice: slip === tack ? liquidSchoolWords[slip] : say`${liquidSchoolWords[slip]}, ${liquidSchoolWords[tack]}`,
  reason: isUsual(slip, tack, family) ? wetReasons[family] : (pairReason({ slip, tack }) ?? wetReasons[family]),
  otherwise:
    slip === 'water only'
      ? say`A little soap would give more time, and wants to be flushed out.`
      : slip === 'heavy slip'
        ? say`Light slip would bond sooner.`
        : say`Heavy slip would slide further and bond later.`,
})

/** Why one would begin there, and what another school would change. */
const beginReasons = (
  { releaseLength }: Pick<Practice, 'releaseLength'>,
  fromRoll: boolean,
): Readonly<Record<SchoolName, { readonly reason: Sentence; readonly otherwise: Sentence }>> => ({
  'corners first': {
    reason: fromRoll
      ? say`The corners say how far the film passes every edge, and hold it there.`
      : say`The piece is pre-cut: the corners fix the gap all round.`,
    otherwise: say`Centre out would lay faster, but the gap comes out as it likes.`,
  },
  'centre out': {
    reason: say`What is left over goes out on all sides alike.`,
    otherwise: say`Corners first would fix the gap, but the film between them has nowhere to go.`,
  },
  'one end and follow': {
    reason: say`Long and narrow: a hinge at one end keeps its line, and ${length(releaseLength)} at a time keeps it level.`,
    otherwise: say`Centre out would halve the way, but two lines have to meet.`,
  },
  'flattest first': {
    reason: say`Nothing has to stretch there, so the film holds while you pull the rest.`,
    otherwise: say`One end and follow would keep a line, but the bulge has to be pulled from one side.`,
  },
  'deepest first': {
    reason: say`Film that lies at the bottom first cannot bridge.`,
    otherwise: say`Flats first would be quicker, but the film then has to stretch into the hollow.`,
  },
  'raised first': {
    reason: say`What stands up takes the most film: it takes it while there is some.`,
    otherwise: say`Flats first would leave the film short at what stands up.`,
  },
  spiral: {
    reason: say`Many small wrinkles spread wide lie down; one big fold never does.`,
    otherwise: say`Straight strokes are quicker, but push the excess into one place.`,
  },
  'hinge and release': {
    reason: say`A hinge at one end keeps its line, and releasing a length at a time keeps it level.`,
    otherwise: say`Centre out would halve the way, but two lines have to meet.`,
  },
})
