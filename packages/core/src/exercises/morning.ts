import { seededNormal, seededRandom } from '../numerics/index.ts'
import { type Day, type DayTask, planDay } from '../order/index.ts'
import { required } from '../result/index.ts'
import { count, minutes as minutesOf, say, type Sentence } from '../say/index.ts'
import { between, type ExerciseLevel, type Verdict } from './exercise.ts'

/** What is done at a part, in this order. */
export const morningSteps = ['wash', 'lay', 'trim', 'heat'] as const
export type MorningStep = (typeof morningSteps)[number]
export const morningStepWords: Readonly<Record<MorningStep, Sentence>> = {
  wash: say`wash`,
  lay: say`lay`,
  trim: say`trim`,
  heat: say`heat`,
}

/** One piece of work: a step at one part of one vehicle. */
export interface MorningWork {
  readonly id: string
  /** From 0. */
  readonly vehicle: number
  readonly part: number
  readonly step: MorningStep
  readonly minutes: number
  /** What has to be done before it, and how long it then waits at least. */
  readonly after: string | null
  readonly waitMinutes: number
  readonly gun: boolean
}

/** Three vehicles, two people, one gun. */
export interface MorningTask {
  readonly level: ExerciseLevel
  readonly works: readonly MorningWork[]
}

/** The two of them. */
export const bothHands = [0, 1] as const
export type Hands = (typeof bothHands)[number]

/** One work given to somebody; works are begun in the order in which they were given. */
export interface Given {
  readonly work: string
  readonly hands: Hands
}

/** When a work was done, minutes from the beginning of the morning. */
export interface Done extends Given {
  readonly from: number
  readonly to: number
  /** For what it could not begin earlier: its own people were there and had to wait. */
  readonly idleFor: 'wait' | 'gun' | null
  /** How long its people stood before it. */
  readonly idleMinutes: number
}

export interface Morning {
  readonly done: readonly Done[]
  readonly endsAt: number
}

const vehicles = [0, 1, 2] as const
/** Parts of each vehicle by level. */
const partsOf: Readonly<Record<ExerciseLevel, readonly number[]>> = { 1: [1, 1, 1], 2: [1, 2, 1], 3: [2, 1, 2] }

/** Least and most of each step, and of the wait before it, minutes. */
const lasts: Readonly<Record<MorningStep, readonly [number, number]>> = {
  wash: [6, 14],
  lay: [14, 38],
  trim: [6, 16],
  heat: [8, 18],
}
const waits: Readonly<Record<MorningStep, readonly [number, number]>> = {
  wash: [0, 0],
  lay: [0, 0],
  trim: [18, 45],
  heat: [10, 35],
}

export function makeMorning(seed: number, level: ExerciseLevel): MorningTask {
  const chance = seededRandom(seed)
  const whole = ([least, most]: readonly [number, number]) => Math.round(least + (most - least) * chance())
  const works = vehicles.flatMap((vehicle) =>
    Array.from({ length: partsOf[level][vehicle] ?? 1 }, (_, part) =>
      morningSteps.map((step, i): MorningWork => {
        const before = morningSteps[i - 1]
        return {
          id: idOf(vehicle, part, step),
          vehicle,
          part,
          step,
          minutes: whole(lasts[step]),
          after: before === undefined ? null : idOf(vehicle, part, before),
          waitMinutes: whole(waits[step]),
          gun: step === 'heat',
        }
      }),
    ).flat(),
  )
  return { level, works }
}

const idOf = (vehicle: number, part: number, step: MorningStep) => `${vehicle}-${part}-${step}`

/** What can be given next: what it follows has been given. */
export function canBeGiven({ works }: MorningTask, given: readonly Given[]): MorningWork[] {
  const so = new Set(given.map((one) => one.work))
  return works.filter((work) => !so.has(work.id) && (work.after === null || so.has(work.after)))
}

/** Minutes of work and of waits as they really fall. */
export interface Really {
  readonly minutes: ReadonlyMap<string, number>
  readonly waits: ReadonlyMap<string, number>
}

const planned = ({ works }: MorningTask): Really => ({
  minutes: new Map(works.map((work) => [work.id, work.minutes])),
  waits: new Map(works.map((work) => [work.id, work.waitMinutes])),
})

/** By how much minutes of work spread, as a standard deviation of their logarithm; waits run over only, half of them, by up to so large a share. */
const spread = 0.15
const overrun = 0.5

/** The morning as it comes: the same for everybody who plans it. */
export function reallyOf({ works }: MorningTask, seed: number): Really {
  const chance = seededRandom(seed + 77)
  const normal = seededNormal(seededRandom(seed + 78))
  return {
    minutes: new Map(
      works.map((work) => [work.id, Math.max(2, Math.round(work.minutes * Math.exp(spread * normal())))]),
    ),
    waits: new Map(
      works.map((work) => {
        const over = chance() < 0.5 ? 0 : overrun * chance()
        return [work.id, Math.round(work.waitMinutes * (1 + over))]
      }),
    ),
  }
}

/** Everybody does what was given, in its order, as soon as part and gun let it. */
export function runMorning(task: MorningTask, given: readonly Given[], really: Really = planned(task)): Morning {
  const byId = new Map(task.works.map((work) => [work.id, work]))
  const free = bothHands.map(() => 0)
  let gunFree = 0
  const ends = new Map<string, number>()
  const done = given.flatMap(({ work: id, hands }): Done[] => {
    const work = byId.get(id)
    if (work === undefined) return []
    const here = free[hands] ?? 0
    const dry = work.after === null ? 0 : (ends.get(work.after) ?? 0) + (really.waits.get(id) ?? 0)
    const gun = work.gun ? gunFree : 0
    const from = Math.max(here, dry, gun)
    const to = from + (really.minutes.get(id) ?? work.minutes)
    free[hands] = to
    ends.set(id, to)
    if (work.gun) gunFree = to
    const idleFor = from === here ? null : gun >= dry ? 'gun' : 'wait'
    return [{ work: id, hands, from, to, idleFor, idleMinutes: from - here }]
  })
  return { done, endsAt: Math.max(0, ...free) }
}

/** Work given at random, in an order that can be kept. */
export function anyMorning(task: MorningTask, chance: () => number): Given[] {
  const given: Given[] = []
  for (;;) {
    const next = canBeGiven(task, given)
    const work = next[Math.floor(chance() * next.length)]
    if (work === undefined) return given
    given.push({ work: work.id, hands: chance() < 0.5 ? 0 : 1 })
  }
}

/** Processor time that the scheduler is given, s. */
export const plannerSeconds = 1

/** What the scheduler would give to whom. */
export function bestMorning(task: MorningTask, spentMs: () => number, seconds = plannerSeconds): Given[] {
  const plan = required(planDay(dayOf(task), { seconds, spentMs }))
  return [...plan.tasks]
    .sort((a, b) => a.startMinute - b.startMinute)
    .map((one) => ({ work: one.id, hands: one.people[0] === '1' ? 1 : 0 }))
}

const dayOf = ({ works }: MorningTask): Day => ({
  people: bothHands.map((id) => ({ id: String(id) })),
  tools: [{ id: 'gun', count: 1 }],
  tasks: works.map(
    (work): DayTask => ({
      id: work.id,
      minutes: work.minutes,
      people: 1,
      tools: work.gun ? ['gun'] : [],
      after: work.after === null ? [] : [{ task: work.after, minMinutes: work.waitMinutes }],
    }),
  ),
})

/** How many mornings at random tell what knowing nothing comes to. */
const randomMornings = 15
/** So near to the scheduler's end it makes no difference to anybody, minutes. */
const asGoodMinutes = 5

/** How much of the way from what chance does to what the scheduler does, on the morning as it really came. */
export function markMorning(
  task: MorningTask,
  seed: number,
  given: readonly Given[],
  best: readonly Given[],
): Verdict & { readonly mine: Morning; readonly planner: Morning } {
  const really = reallyOf(task, seed)
  const [mine, planner] = [runMorning(task, given, really), runMorning(task, best, really)]
  const chance = seededRandom(seed + 79)
  const random = Array.from({ length: randomMornings }, () => runMorning(task, anyMorning(task, chance), really).endsAt)
  const sorted = random.sort((a, b) => a - b)
  // One in four that know nothing is through by then.
  const worst = Math.max(planner.endsAt + asGoodMinutes + 1, sorted[Math.floor(sorted.length / 4)] ?? 0)
  const share = given.length < task.works.length ? 0 : between(mine.endsAt, worst, planner.endsAt + asGoodMinutes)
  return { share, mine, planner, says: saysOf(task, mine, planner) }
}

function saysOf(task: MorningTask, mine: Morning, planner: Morning): Sentence[] {
  const stood = (why: 'wait' | 'gun') =>
    mine.done.filter((one) => one.idleFor === why).reduce((sum, one) => sum + one.idleMinutes, 0)
  const idle = [...mine.done].sort((a, b) => b.idleMinutes - a.idleMinutes)[0]
  const work = task.works.find((one) => one.id === idle?.work)
  const later = mine.endsAt - planner.endsAt
  return [
    later <= 0
      ? say`All three are done after ${minutesOf(mine.endsAt)}; the scheduler would not have been sooner.`
      : say`All three are done after ${minutesOf(mine.endsAt)}; by the scheduler’s plan it would have been ${minutesOf(planner.endsAt)}.`,
    ...(stood('wait') > 0
      ? [
          say`People stood for ${minutesOf(stood('wait'))} beside film that dried: something else could have been begun.`,
        ]
      : []),
    ...(stood('gun') > 0 ? [say`People stood for ${minutesOf(stood('gun'))} because the gun was in other hands.`] : []),
    ...(later > 0 && work !== undefined && idle !== undefined && idle.idleMinutes > 5
      ? [
          say`The longest stand was before this: ${morningStepWords[work.step]} at vehicle ${count(work.vehicle + 1)}, ${minutesOf(idle.idleMinutes)}.`,
        ]
      : []),
  ]
}
