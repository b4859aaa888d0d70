import {
  canBeDone,
  type CauseId,
  causeOf,
  type CureStepId,
  cureStep,
  cureWays,
  type FaultCase,
  type FaultEvidence,
  faultGroup,
  type FaultKind,
  faultLooks,
  type FaultStage,
  faultStages,
  faultStageWords,
  faultWords,
  type JudgedFilm,
  judgeFault,
  type Judgement,
} from '../judge/index.ts'
import { usualHandling } from '../lay/index.ts'
import { seededRandom } from '../numerics/index.ts'
import { filmTypeWords } from '../plan/index.ts'
import type { Practice } from '../practice/index.ts'
import { required } from '../result/index.ts'
import { atStart, paragraph, say, type Sentence } from '../say/index.ts'
import type { ExerciseLevel, Verdict } from './exercise.ts'
import {
  castingMark,
  faultPicture,
  type FaultPicture,
  type Pictured,
  type PicturedFault,
  picturedFaults,
} from './faultPicture.ts'
import { type FaultPlace, faultPlace } from './faultPlace.ts'

/** What a fault is put right by, step by step; or nothing does any more. */
export type Cure = readonly CureStepId[] | 'too late'

/** A picture of film at a stage of the work, with what is known of the place. */
export interface WhatTask {
  readonly level: ExerciseLevel
  readonly shown: Pictured
  readonly stage: FaultStage
  readonly film: JudgedFilm
  readonly picture: FaultPicture
  readonly evidence: FaultEvidence
  /** What is known of the place, in words. */
  readonly known: readonly Sentence[]
  /** What there is to choose from, in no order. */
  readonly names: readonly Pictured[]
  readonly causes: readonly CauseId[]
  readonly cures: readonly Cure[]
}

export interface WhatAnswer {
  readonly name: Pictured
  readonly cause: CauseId
  readonly cure: Cure
}

const choices = 4
/** What each answer counts. */
const worth = { name: 0.4, cause: 0.3, cure: 0.3 } as const
/** Causes that are offered beside the likeliest are less likely by so much at least. */
const clearly = 0.5

export const picturedWords = (shown: Pictured): Sentence =>
  shown === castingMark ? say`a mark of the part itself` : faultWords(shown)
/** What the eye sees, for whoever cannot see the picture. */
export const picturedLooks = (shown: Pictured): Sentence =>
  shown === castingMark ? say`A fine raised line in the part, film lies over it without a break.` : faultLooks(shown)
export const cureWords = (cure: Cure): Sentence =>
  cure === 'too late'
    ? say`It is too late: it stays, or a new piece is laid.`
    : paragraph(...cure.map((id) => cureStep(id).says))
export const causeWords = (cause: CauseId): Sentence => causeOf(cause).says

const stageSays: Readonly<Record<FaultStage, Sentence>> = {
  wet: say`It still floats.`,
  tacked: say`It is fixed, and has not bonded yet.`,
  bonded: say`It has bonded.`,
  heated: say`It has been heated.`,
  cut: say`It has been cut.`,
}
/** What film it is, and how far the work on it has come. */
export const whereItStands = ({ film, stage }: Pick<WhatTask, 'film' | 'stage'>): Sentence =>
  film.laid === 'wet'
    ? say`${atStart(filmTypeWords[film.type])}, laid wet. ${stageSays[stage]}`
    : say`${atStart(filmTypeWords[film.type])}, laid dry. ${stageSays[stage]}`

export function makeWhat(seed: number, level: ExerciseLevel, practice: Practice): WhatTask {
  const chance = seededRandom(seed)
  const place = faultPlace(chance, usualHandling)
  for (;;) {
    const task = anyWhat(chance, level, place, practice)
    if (task !== null) return { ...task, level, picture: faultPicture(task.shown, seed, place) }
  }
}

/** A case of which the likeliest cause stands out, and for which there is enough to choose from; null where it is none. */
function anyWhat(
  chance: () => number,
  level: ExerciseLevel,
  place: FaultPlace,
  practice: Practice,
): Omit<WhatTask, 'level' | 'picture'> | null {
  const pick = <T>(list: readonly [T, ...T[]] | readonly T[]): T => list[Math.floor(chance() * list.length)] as T
  const decoy = level === 3 && chance() < 0.2
  const shown: Pictured = decoy ? castingMark : pick(picturedFaults)
  const stage = pick(level === 1 ? faultStages.slice(0, 2) : faultStages)
  const film = filmFor(shown, stage, chance)
  const evidence = evidenceOf(shown, place, chance)
  const asked = caseOf({ shown, stage, film, evidence })
  const judgement = judgeFault(asked, practice)
  if (!judgement.ok) return null
  const judged = judgement.value
  const causes = causesOffered(judged)
  const cures = curesOffered(asked, judged, chance)
  const names = namesOffered(shown, level, chance)
  if (causes.length < choices || cures.length < choices) return null
  const known = judged.causes.flatMap((one) => [...one.because, ...one.against])
  return {
    shown,
    stage,
    film,
    evidence,
    known: known.filter((one, i) => known.findIndex((other) => JSON.stringify(other) === JSON.stringify(one)) === i),
    names: shuffled(names, chance),
    causes: shuffled(causes, chance),
    cures: shuffled(cures, chance),
  }
}

/** What the picture shows, as a judge is asked: a mark of the part is taken for silvering. */
const caseOf = ({ shown, ...rest }: Pick<WhatTask, 'shown' | 'stage' | 'film' | 'evidence'>): FaultCase => ({
  ...rest,
  fault: shown === castingMark ? 'silvering' : shown,
})

function filmFor(shown: Pictured, stage: FaultStage, chance: () => number): JudgedFilm {
  if (shown === castingMark) return { type: 'lens tint', laid: 'wet' }
  if (shown === 'pattern warped') return { type: 'trim vinyl', laid: stage === 'wet' ? 'wet' : 'dry', patterned: true }
  return { type: 'paint film', laid: stage === 'wet' || chance() < 0.8 ? 'wet' : 'dry' }
}

/** What somebody would know of the place. */
function evidenceOf(shown: Pictured, place: FaultPlace, chance: () => number): FaultEvidence {
  const { stretch } = place.pulled
  const { glueLineStretch } = usualHandling
  switch (shown) {
    case 'fingers':
    case 'crease':
      return { excessMmPer100: place.mostExcess }
    case 'glue line':
    case 'pattern warped':
      return { stretch, glueLineStretch }
    case 'bridging':
      return { hollow: true }
    case 'silvering':
    case 'stop line':
      return chance() < 0.5 ? { minutesDry: 3 + 6 * chance() } : {}
    case 'air bubble':
      return { answers: { moves: true, wetBeneath: false } }
    case castingMark:
      return { found: ['casting marks'], answers: { moves: false } }
    default:
      return {}
  }
}

const likeness: Readonly<Partial<Record<Pictured, readonly Pictured[]>>> = {
  [castingMark]: ['stop line', 'silvering', 'glue line', 'crease'],
  'stop line': [castingMark, 'glue line', 'silvering', 'crease'],
  'glue line': ['stop line', 'pattern warped', 'silvering', castingMark],
  silvering: ['air bubble', 'stop line', 'bridging', castingMark],
  'air bubble': ['dirt or hair', 'silvering', 'bridging', 'crease'],
  'dirt or hair': ['air bubble', 'crease', 'silvering', castingMark],
  fingers: ['crease', 'glue line', 'bridging', 'air bubble'],
  crease: ['fingers', 'stop line', castingMark, 'bridging'],
  bridging: ['silvering', 'stop line', 'air bubble', 'crease'],
  'pattern warped': ['glue line', 'crease', 'fingers', 'stop line'],
}

/** On the first level names of what looks otherwise; later what is easily taken for it. */
function namesOffered(shown: Pictured, level: ExerciseLevel, chance: () => number): Pictured[] {
  const alike = likeness[shown] ?? []
  const group = (one: Pictured) => (one === castingMark ? null : faultGroup(one))
  const unlike = shuffled(
    picturedFaults.filter((one) => one !== shown && group(one) !== group(shown)),
    chance,
  )
  const others = level === 1 ? unlike : alike
  return [shown, ...others.slice(0, choices - 1)]
}

function causesOffered({ causes }: Judgement): CauseId[] {
  const [first, ...others] = causes
  if (first === undefined) return []
  const less = others.filter((one) => one.probability < clearly * first.probability)
  // What hardly comes into question where the judge knows no more.
  const far = (['blunt blade', 'cut too deep', 'coating beneath', 'alcohol on the lens'] as const).filter((id) =>
    causes.every((one) => one.id !== id),
  )
  return [first.id, ...less.map((one) => one.id), ...far].slice(0, choices)
}

const rightCure = ({ cure, tooLate }: Judgement): Cure => (tooLate === null ? cure.map((step) => step.id) : 'too late')

const same = (a: Cure, b: Cure): boolean => JSON.stringify(a) === JSON.stringify(b)

/** The right one, that it is too late, ways of this fault that are closed there, and ways of other faults. */
function curesOffered(asked: FaultCase, judged: Judgement, chance: () => number): Cure[] {
  const right = rightCure(judged)
  const place = { film: asked.film, stage: asked.stage, delicate: false, takesHeat: true }
  const closed = cureWays[asked.fault].map((way) => way.steps).filter((way) => !way.every((id) => canBeDone(id, place)))
  const own = cureWays[asked.fault].map((way) => way.steps)
  const foreign = shuffled<PicturedFault>(picturedFaults, chance).flatMap((kind) =>
    cureWays[kind as FaultKind].map((way) => way.steps).filter((way) => own.every((one) => !same(one, way))),
  )
  const all: Cure[] = [right, 'too late', ...shuffled(closed, chance).slice(0, 1), ...foreign]
  return all.filter((one, i) => all.findIndex((other) => same(one, other)) === i).slice(0, choices)
}

/** The name, the likeliest cause and the best way, each for itself; a cause counts by how likely it is beside the likeliest. */
export function markWhat(task: WhatTask, answer: WhatAnswer, practice: Practice): Verdict {
  const asked = caseOf(task)
  const judged = required(judgeFault(asked, practice))
  const [first] = judged.causes
  const right = rightCure(judged)
  const chosen = judged.causes.find((one) => one.id === answer.cause)
  const named = answer.name === task.shown
  const cured = same(answer.cure, right)
  const closed =
    !cured && answer.cure !== 'too late' && cureWays[asked.fault].some((way) => same(way.steps, answer.cure))
  return {
    share:
      (named ? worth.name : 0) +
      worth.cause * ((chosen?.probability ?? 0) / (first?.probability ?? 1)) +
      (cured ? worth.cure : 0),
    says: [
      named
        ? say`Yes: ${picturedWords(task.shown)}.`
        : say`It is ${picturedWords(task.shown)}. ${picturedLooks(task.shown)}`,
      ...(first === undefined || answer.cause === first.id
        ? []
        : [say`Most likely it was this: ${first.says}. ${first.nextTime}`]),
      ...(closed ? [say`That would be the way earlier; ${faultStageWords[task.stage]} it is closed.`] : []),
      ...(cured ? [] : [say`To do: ${cureWords(right)}`]),
    ],
  }
}

/** What is right, found by the judge. */
export function bestWhat(task: WhatTask, practice: Practice): WhatAnswer {
  const judged = required(judgeFault(caseOf(task), practice))
  return { name: task.shown, cause: judged.causes[0]?.id ?? 'too much film', cure: rightCure(judged) }
}

const shuffled = <T>(all: readonly T[], chance: () => number): T[] =>
  all
    .map((one) => ({ one, at: chance() }))
    .sort((a, b) => a.at - b.at)
    .map(({ one }) => one)
