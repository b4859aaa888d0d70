import type { Practice } from '../practice/index.ts'
import type { Sentence } from '../say/index.ts'
import type { CauseId } from './causeIds.ts'
import { causeOf, causesOf, type HowOften } from './causes.ts'
import { type FaultEvidence, type FaultQuestion, faultQuestions, type LaidFilm, whatSpeaks } from './evidence.ts'
import type { FaultKind } from './faults.ts'

export interface RankedCause {
  readonly id: CauseId
  readonly says: Sentence
  /** What to mind the next time. */
  readonly nextTime: Sentence
  /** All causes of one fault together make 1. */
  readonly probability: number
  /** What speaks for it, the strongest first. */
  readonly because: readonly Sentence[]
  /** What speaks against it. */
  readonly against: readonly Sentence[]
}

const weightOf = (often: HowOften, practice: Practice): number =>
  ({ often: practice.causeOften, sometimes: practice.causeSometimes, rarely: practice.causeRarely })[often]

function fitOf(id: CauseId, film: LaidFilm, practice: Practice): number {
  const { fits } = causeOf(id)
  if (fits === undefined) return 1
  const one = (of: string | undefined, is: string | undefined) =>
    of === undefined || is === undefined ? 1 : of === is ? practice.causeFits : 1 / practice.causeFits
  return one(fits.laid, film.laid) * one(fits.begin, film.begin)
}

/**
 * The causes that can be behind a fault, the likeliest first. A weight is how often the trade meets the cause behind that fault, times what
 * such a film makes of it, times a factor for each thing that is known (naive Bayes: they are taken as if they did not hang together, so two
 * that say the same count twice). Weights are shared out to 1. The probabilities rank; they are not counted from fits.
 */
export function rankCauses(
  fault: FaultKind,
  film: LaidFilm,
  evidence: FaultEvidence,
  practice: Practice,
): RankedCause[] {
  const speaks = whatSpeaks(evidence, practice)
  const weighed = causesOf(fault, film).map(({ id, often }) => {
    const own = speaks.filter(({ cause }) => cause === id).sort((a, b) => b.factor - a.factor)
    const weight = own.reduce((w, { factor }) => w * factor, weightOf(often, practice) * fitOf(id, film, practice))
    return { id, weight, own }
  })
  const all = weighed.reduce((sum, { weight }) => sum + weight, 0)
  return weighed
    .map(({ id, weight, own }) => ({
      id,
      says: causeOf(id).says,
      nextTime: causeOf(id).nextTime,
      probability: weight / all,
      because: own.filter(({ factor }) => factor > 1).map(({ says }) => says),
      against: own.filter(({ factor }) => factor < 1).map(({ says }) => says),
    }))
    .sort((a, b) => b.probability - a.probability)
}

export interface TellsApart {
  readonly ask: FaultQuestion
  readonly between: readonly [CauseId, CauseId]
}

/** A question counts as telling when its answers move the two likeliest causes apart by so much. */
const tellingFactor = 2

/** What would tell the two likeliest causes apart, of what can be and has not been asked; null where nothing would, or nothing needs to. */
export function tellsApart(
  fault: FaultKind,
  film: LaidFilm,
  evidence: FaultEvidence,
  practice: Practice,
  askable: readonly FaultQuestion[] = faultQuestions,
): TellsApart | null {
  const [first, second] = rankCauses(fault, film, evidence, practice)
  if (first === undefined || second === undefined || first.probability > 0.8) return null
  const odds = (ask: FaultQuestion, answer: boolean) => {
    const told = whatSpeaks({ answers: { [ask]: answer } }, practice)
    const factor = (id: CauseId) => told.find(({ cause }) => cause === id)?.factor ?? 1
    return factor(first.id) / factor(second.id)
  }
  const open = askable.filter((ask) => evidence.answers?.[ask] === undefined)
  const gains = open.map((ask) => ({ ask, gain: Math.abs(Math.log(odds(ask, true) / odds(ask, false))) }))
  const best = gains.sort((a, b) => b.gain - a.gain)[0]
  return best === undefined || best.gain < Math.log(tellingFactor)
    ? null
    : { ask: best.ask, between: [first.id, second.id] }
}
