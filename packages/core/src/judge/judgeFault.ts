import type { SchoolName } from '../lay/index.ts'
import { filmTypeWords } from '../plan/index.ts'
import type { Practice } from '../practice/index.ts'
import { done, failure, type Result, refused } from '../result/index.ts'
import { atStart, clauses, name, paragraph, percent, say, type Sentence } from '../say/index.ts'
import type { ComeBackTime } from './comeBack.ts'
import type { CauseId } from './causeIds.ts'
import { canBeDone, type CurePlace, type CureStep, cureStep } from './cureSteps.ts'
import type { CureStepId } from './cureStepIds.ts'
import { cureCautions } from './cureCautions.ts'
import { cureWays, leftWords } from './cures.ts'
import {
  type FaultEvidence,
  type FaultQuestion,
  faultQuestions,
  type FaultStage,
  faultStages,
  type JudgedFilm,
  questionWords,
} from './evidence.ts'
import { canHave } from './likelyFaults.ts'
import { type FaultKind, faultWords, spoils } from './faults.ts'
import { type RankedCause, rankCauses, tellsApart } from './rankCauses.ts'

export interface FaultCase {
  readonly fault: FaultKind
  /** What the place is called; for the words only. */
  readonly place?: string | undefined
  /** Where the laying began; left out: not known, and nothing is made of it. */
  readonly school?: SchoolName | undefined
  readonly stage: FaultStage
  readonly film: JudgedFilm
  readonly evidence: FaultEvidence
  /** The part bears heat; left out: it does. */
  readonly takesHeat?: boolean | undefined
}

export interface Judgement {
  /** The likeliest first; together 1. */
  readonly causes: readonly RankedCause[]
  /** What to look at that would tell the two likeliest apart. */
  readonly tellApart: {
    readonly ask: FaultQuestion
    readonly says: Sentence
    readonly between: readonly [CauseId, CauseId]
  } | null
  /** What to do where the work stands, in its order; empty where it is too late. */
  readonly cure: readonly (CureStep & { readonly id: CureStepId })[]
  /** What to heed meanwhile. */
  readonly cautions: readonly Sentence[]
  /** Until when that can be done; null where it always can. */
  readonly until: Sentence | null
  /** Why it cannot be put right any more; null where it can. */
  readonly tooLate: Sentence | null
  /** What the customer is told where it is left; null where it cannot be left. */
  readonly left: Sentence | null
  readonly when: ComeBackTime
  /** All of it in a few sentences. */
  readonly words: Sentence
}

/** When, as part of a sentence. */
export const faultStageWords: Readonly<Record<FaultStage, Sentence>> = {
  wet: say`while it floats`,
  tacked: say`once it is fixed`,
  bonded: say`once it has bonded`,
  heated: say`once it was heated`,
  cut: say`once it is cut`,
}

/**
 * What is wrong, why, and what to do where the work stands. Can be refused: `EVIDENCE_CONTRADICTS`.
 */
export function judgeFault(asked: FaultCase, practice: Practice): Result<Judgement> {
  const { fault, evidence } = asked
  const film = { ...asked.film, begin: asked.school }
  const problem = contradiction(asked)
  if (problem !== null) return refused(failure('EVIDENCE_CONTRADICTS', { what: problem }))
  const causes = rankCauses(fault, film, evidence, practice)
  const apart = tellsApart(fault, film, evidence, practice, askable(asked))
  const place = placeOf(asked)
  const wasThere = causes[0]?.id === 'was there before'
  const way = wasThere ? (['leave what was'] as const) : wayFor(fault, causes[0]?.id, place)
  const tooLate = way === null ? tooLateWords(fault, place) : null
  const cure = (way ?? []).map((id) => ({ id, ...cureStep(id) }))
  const until = way === null || wasThere ? null : untilWords(way, place)
  const left = leftWords[fault]
  return done({
    causes,
    tellApart: apart === null ? null : { ...apart, says: questionWords[apart.ask] },
    cure,
    cautions: cureCautions(cure, film),
    until,
    tooLate,
    left,
    when: whenToDo(fault, way ?? [], place),
    words: wordsOf(asked, causes, cure, tooLate),
  })
}

const delicateFinds = new Set(['cracked lens', 'crazed lens'])
const placeOf = ({ fault, film, stage, evidence, takesHeat = true }: FaultCase): CurePlace => ({
  film,
  stage,
  delicate: fault === 'lens crazed' || (evidence.found ?? []).some((kind) => delicateFinds.has(kind)),
  takesHeat,
})

/** Steps of the best way that can be gone; null where there is none. A way for the likeliest cause goes before one for any. */
function wayFor(fault: FaultKind, cause: CauseId | undefined, place: CurePlace): readonly CureStepId[] | null {
  const ways = cureWays[fault].filter((way) => way.cause === undefined || way.cause === cause)
  const first = [...ways.filter((way) => way.cause !== undefined), ...ways.filter((way) => way.cause === undefined)]
  return first.find(({ steps }) => steps.every((step) => canBeDone(step, place)))?.steps ?? null
}

/** The point of no return: the first later stage at which a step of this way can be done no more. */
function untilWords(way: readonly CureStepId[], place: CurePlace): Sentence | null {
  const later = faultStages.slice(faultStages.indexOf(place.stage) + 1)
  const over = later.find((stage) => !way.every((step) => canBeDone(step, { ...place, stage })))
  return over === undefined ? null : say`Do it now: ${faultStageWords[over]} this way is closed.`
}

function tooLateWords(fault: FaultKind, { stage, film }: CurePlace): Sentence {
  if (spoils(fault)) return say`That cannot be mended: a new piece, or the customer takes it as it is.`
  if (fault === 'lens crazed')
    return say`The lens itself is damaged: stop, no heat and no alcohol, and show it to the customer.`
  if (fault === 'knife mark') return say`A cut into the part cannot be taken back: show it to the customer.`
  if (film.laid === 'dry')
    return say`Dry film that was pressed, and heated or cut, does not come off whole: ${faultStageWords[stage]} it stays as it is.`
  return say`Film does not come off whole ${faultStageWords[stage]}: it stays, or a new piece is laid.`
}

/** Haze goes by itself, folds at the very edge go down with the post-heat; everything else is best done at once. */
function whenToDo(fault: FaultKind, way: readonly CureStepId[], { stage }: CurePlace): ComeBackTime {
  if (way.includes('leave what was')) return 'at hand-over'
  if (way.includes('leave it days')) return 'at the edge look'
  if (fault === 'fingers' && stage === 'bonded' && way.includes('warm and press')) return 'at post-heat'
  if (way.length === 0 && !spoils(fault)) return 'at hand-over'
  return 'now'
}

function wordsOf(
  { fault, place }: FaultCase,
  causes: readonly RankedCause[],
  cure: readonly CureStep[],
  tooLate: Sentence | null,
): Sentence {
  const [first] = causes
  const seen =
    place === undefined ? say`${atStart(faultWords(fault))}.` : say`${atStart(faultWords(fault))}, ${name(place)}.`
  const why =
    first !== undefined &&
    (first.because.length === 0
      ? say`Most likely (${percent(100 * first.probability)}): ${first.says}.`
      : say`Most likely (${percent(100 * first.probability)}): ${first.says}; ${clauses([...first.because])}.`)
  return paragraph(seen, why, ...(tooLate === null ? cure.map(({ says }) => says) : [tooLate]))
}

/** Questions of which either answer may be true there. */
const askable = (asked: FaultCase): FaultQuestion[] =>
  faultQuestions.filter((ask) =>
    [true, false].every((answer) => {
      const answers = { ...asked.evidence.answers, [ask]: answer }
      return contradiction({ ...asked, evidence: { ...asked.evidence, answers } }) === null
    }),
  )

/** What cannot both be so. */
function contradiction({ fault, film, stage, evidence }: FaultCase): Sentence | null {
  const { earlierFits = 0, earlierSame = 0, answers = {}, hottestC, leastC, damageC } = evidence
  if (!canHave(film, fault)) return say`${filmTypeWords[film.type]} that is laid so cannot have that fault`
  if (film.laid === 'dry' && stage === 'wet') return say`film that is laid dry is never wet`
  if (film.laid === 'dry' && answers.wetBeneath === true) return say`film that was laid dry is not wet beneath`
  if (answers.heated === false && (stage === 'heated' || hottestC !== undefined))
    return say`the gun was not there, yet a temperature or the heated stage is given`
  if (earlierSame > earlierFits) return say`it was seen more often than the piece was fitted`
  if (leastC !== undefined && damageC !== undefined && leastC >= damageC)
    return say`the heat that was asked for lies above the damage of the film`
  return null
}
