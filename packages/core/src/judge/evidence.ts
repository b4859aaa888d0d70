import type { SchoolName } from '../lay/index.ts'
import type { FilmType, FindingKind, WayLaid } from '../plan/index.ts'
import type { Practice } from '../practice/index.ts'
import { count, length, minutes, percent, perLitre, say, type Sentence, temperature } from '../say/index.ts'
import { findingMeanings } from '../plan/index.ts'
import type { CauseId } from './causeIds.ts'

/** How far the work on that place has come. */
export const faultStages = ['wet', 'tacked', 'bonded', 'heated', 'cut'] as const
export type FaultStage = (typeof faultStages)[number]

export interface JudgedFilm {
  readonly type: FilmType
  readonly laid: WayLaid
  readonly patterned?: boolean | undefined
}

/** A film and how it was begun. */
export interface LaidFilm extends JudgedFilm {
  /** Left out: not known, and nothing is made of it. */
  readonly begin?: SchoolName | undefined
}

/** What a finger or a second look answers. */
export interface FaultAnswers {
  /** Pressed with a fingertip, it moves or gives way. */
  readonly moves?: boolean | undefined
  /** There is water beneath. */
  readonly wetBeneath?: boolean | undefined
  /** The gun was there. */
  readonly heated?: boolean | undefined
}
export const faultQuestions = ['moves', 'wetBeneath', 'heated'] as const satisfies readonly (keyof FaultAnswers)[]
export type FaultQuestion = (typeof faultQuestions)[number]
export const questionWords: Readonly<Record<FaultQuestion, Sentence>> = {
  moves: say`Pressed with a fingertip: does it move?`,
  wetBeneath: say`Is it wet beneath?`,
  heated: say`Was the gun there?`,
}

/** What is known of a fault and its place; all of it may be left out. */
export interface FaultEvidence {
  /** Film left over there by the lay, mm per 100 mm of edge. */
  readonly excessMmPer100?: number | undefined
  /** How far the film is stretched there by the lay, and from where glue lines come, shares. */
  readonly stretch?: number | undefined
  readonly glueLineStretch?: number | undefined
  /** A hollow that film has to follow lies there. */
  readonly hollow?: boolean | undefined
  /** By how much the wait before was cut short. */
  readonly minutesEarly?: number | undefined
  /** For how long the film has been drier than it should be. */
  readonly minutesDry?: number | undefined
  /** What the bottles in hand hold, and what the plan asks for. */
  readonly slipSoapMlPerL?: number | undefined
  readonly askedSoapMlPerL?: number | undefined
  readonly tackAlcoholPercent?: number | undefined
  readonly askedAlcoholPercent?: number | undefined
  readonly roomC?: number | undefined
  readonly humidityPercent?: number | undefined
  /** How hot the surface was there at most, the band that was asked for, and from where this film is damaged. */
  readonly hottestC?: number | undefined
  readonly leastC?: number | undefined
  readonly damageC?: number | undefined
  /** What the blade segment has cut, and what it may. */
  readonly bladeCutMm?: number | undefined
  readonly bladeLastsMm?: number | undefined
  /** What the walk-round found on this very part, near the place. */
  readonly found?: readonly FindingKind[] | undefined
  /** Earlier fits of this piece, and in how many the same was seen at this place. */
  readonly earlierFits?: number | undefined
  readonly earlierSame?: number | undefined
  readonly answers?: FaultAnswers | undefined
}

/** One thing that is known, and how much likelier it makes a cause: above 1 for it, below 1 against it. */
export interface Speaks {
  readonly cause: CauseId
  readonly factor: number
  readonly says: Sentence
}

const more = (value: number, doublesAt: number): number => 1 + Math.max(0, value) / doublesAt
/** What speaks for something speaks as much against it when it is not so. */
const answered = (yes: boolean, factor: number) => (yes ? factor : 1 / factor)

/** Causes that a finding of the walk-round is itself. */
const knownCauses: Partial<Readonly<Record<FindingKind, CauseId>>> = {
  'casting marks': 'was there before',
  chip: 'was there before',
  scratch: 'was there before',
  swirls: 'was there before',
  'crazed lens': 'was there before',
  'cracked lens': 'was there before',
  dent: 'was there before',
  coating: 'coating beneath',
  'previous film': 'old glue beneath',
  'sprayed tint': 'old glue beneath',
  'out of true': 'body untrue',
}

/** Everything that is known, turned to the causes for which and against which it speaks. Each factor grows with its evidence. */
export function whatSpeaks(evidence: FaultEvidence, practice: Practice): Speaks[] {
  return [
    ...ofTheLay(evidence, practice),
    ...ofTime(evidence, practice),
    ...ofLiquidsAndAir(evidence, practice),
    ...ofHeatAndBlade(evidence, practice),
    ...ofThePast(evidence, practice),
    ...ofAnswers(evidence.answers ?? {}, practice),
  ].filter(({ factor }) => factor !== 1)
}

function ofTheLay({ excessMmPer100, stretch, glueLineStretch, hollow }: FaultEvidence, practice: Practice): Speaks[] {
  const speaks: Speaks[] = []
  if (excessMmPer100 !== undefined && excessMmPer100 > 0) {
    const says = say`by the lay there is ${length(excessMmPer100)} too much film on each ${length(100)}`
    const factor = more(excessMmPer100, practice.tellingExcess)
    speaks.push(
      { cause: 'too much film', factor, says },
      { cause: 'pulled too little', factor: Math.sqrt(factor), says },
    )
  }
  if (stretch !== undefined && glueLineStretch !== undefined && stretch > 0) {
    const says = say`stretched by ${percent(100 * stretch, 1)} there by the lay`
    const factor = more(stretch, glueLineStretch)
    speaks.push(
      { cause: 'laid under tension', factor, says },
      { cause: 'pulled out of shape', factor, says },
      { cause: 'cut while warm', factor: Math.sqrt(factor), says },
    )
  }
  if (hollow === true) {
    const factor = practice.tellingAnswer
    speaks.push({ cause: 'hollow left for later', factor, says: say`a hollow lies there` })
  }
  return speaks
}

function ofTime({ minutesEarly, minutesDry }: FaultEvidence, practice: Practice): Speaks[] {
  const speaks: Speaks[] = []
  if (minutesEarly !== undefined && minutesEarly > 0)
    speaks.push({
      cause: 'wait cut short',
      factor: more(minutesEarly, practice.tellingMinutesEarly),
      says: say`the wait was cut short by ${minutes(Math.round(minutesEarly))}`,
    })
  if (minutesDry !== undefined && minutesDry > 0)
    speaks.push({
      cause: 'film dried',
      factor: more(minutesDry, practice.tellingMinutesDry),
      says: say`the film was dry for ${minutes(Math.round(minutesDry))}`,
    })
  return speaks
}

function ofLiquidsAndAir(evidence: FaultEvidence, practice: Practice): Speaks[] {
  const { slipSoapMlPerL: soap, askedSoapMlPerL: askedSoap, roomC, humidityPercent } = evidence
  const { tackAlcoholPercent: alcohol, askedAlcoholPercent: askedAlcohol } = evidence
  const speaks: Speaks[] = []
  if (soap !== undefined && askedSoap !== undefined && askedSoap > 0) {
    const share = (soap + 0.01) / (askedSoap + 0.01)
    const says = say`the slip in hand has ${perLitre(soap)} of soap, asked for were ${perLitre(askedSoap)}`
    speaks.push(
      { cause: 'too much soap', factor: share ** 2, says },
      { cause: 'too little soap', factor: share ** -2, says },
    )
  }
  if (alcohol !== undefined && askedAlcohol !== undefined && askedAlcohol > 0)
    speaks.push({
      cause: 'tack too weak',
      factor: ((alcohol + 0.1) / (askedAlcohol + 0.1)) ** -2,
      says: say`the tack in hand has ${percent(alcohol, 1)} alcohol, asked for were ${percent(askedAlcohol, 1)}`,
    })
  if (roomC !== undefined)
    speaks.push({
      cause: 'cold or damp',
      factor: more(20 - roomC, practice.tellingCold),
      says: say`the room has ${temperature(roomC)}`,
    })
  if (humidityPercent !== undefined)
    speaks.push({
      cause: 'cold or damp',
      factor: more(humidityPercent - 50, practice.tellingDamp),
      says: say`the air has ${percent(humidityPercent)} humidity`,
    })
  return speaks
}

function ofHeatAndBlade(evidence: FaultEvidence, practice: Practice): Speaks[] {
  const { hottestC, leastC, damageC, bladeCutMm, bladeLastsMm } = evidence
  const speaks: Speaks[] = []
  if (hottestC !== undefined && damageC !== undefined)
    speaks.push({
      cause: 'too hot',
      factor: 2 ** ((hottestC - (damageC - practice.tellingNearDamage)) / practice.tellingDegreesHot),
      says: say`the surface came to ${temperature(hottestC)}; damage begins at ${temperature(damageC)}`,
    })
  if (hottestC !== undefined && leastC !== undefined && hottestC < leastC)
    speaks.push({
      cause: 'too little heat',
      factor: more(leastC - hottestC, practice.tellingDegreesCold),
      says: say`the surface came only to ${temperature(hottestC)}; asked for were ${temperature(leastC)}`,
    })
  if (bladeCutMm !== undefined && bladeLastsMm !== undefined && bladeLastsMm > 0)
    speaks.push({
      cause: 'blunt blade',
      factor: practice.tellingBlade ** (2 * (bladeCutMm / bladeLastsMm) - 1),
      says: say`the segment has cut ${length(bladeCutMm)} of about ${length(bladeLastsMm)}`,
    })
  return speaks
}

function ofThePast({ found = [], earlierFits, earlierSame }: FaultEvidence, practice: Practice): Speaks[] {
  const speaks: Speaks[] = [...new Set(found)].flatMap((kind) => {
    const cause = knownCauses[kind]
    return cause === undefined
      ? []
      : [{ cause, factor: practice.tellingKnown, says: say`found at the walk-round: ${findingMeanings[kind].says}` }]
  })
  if (earlierFits !== undefined && earlierFits > 0) {
    const same = earlierSame ?? 0
    // Each fit without it speaks against the piece, but less than one with it speaks for it.
    const factor = practice.tellingEarlier ** (same - (earlierFits - same) / 2)
    const says = say`seen in ${count(same)} of ${count(earlierFits)} earlier fits of this piece`
    speaks.push({ cause: 'piece untrue', factor, says })
  }
  return speaks
}

function ofAnswers({ moves, wetBeneath, heated }: FaultAnswers, practice: Practice): Speaks[] {
  const factor = practice.tellingAnswer
  const speaks: Speaks[] = []
  if (moves !== undefined) {
    const says = moves ? say`it moves when it is pressed` : say`it does not move when it is pressed`
    speaks.push(
      { cause: 'air shut in', factor: answered(moves, factor), says },
      { cause: 'water left', factor: answered(moves, Math.sqrt(factor)), says },
      { cause: 'was there before', factor: answered(!moves, factor), says },
      { cause: 'dust fell in', factor: answered(!moves, Math.sqrt(factor)), says },
      { cause: 'not clean', factor: answered(!moves, Math.sqrt(factor)), says },
    )
  }
  if (wetBeneath !== undefined) {
    const says = wetBeneath ? say`it is wet beneath` : say`it is dry beneath`
    speaks.push(
      { cause: 'water left', factor: answered(wetBeneath, factor), says },
      { cause: 'wait cut short', factor: answered(wetBeneath, factor), says },
      { cause: 'too much soap', factor: answered(wetBeneath, Math.sqrt(factor)), says },
      { cause: 'film dried', factor: answered(!wetBeneath, factor), says },
      { cause: 'air shut in', factor: answered(!wetBeneath, factor), says },
    )
  }
  if (heated !== undefined) {
    const says = heated ? say`the gun was there` : say`the gun was not there`
    speaks.push(
      { cause: 'too hot', factor: answered(heated, factor), says },
      { cause: 'cut while warm', factor: answered(heated, factor), says },
    )
    // That the gun was there says nothing of how warm it became.
    if (!heated) speaks.push({ cause: 'too little heat', factor: Math.sqrt(factor), says })
  }
  return speaks
}
