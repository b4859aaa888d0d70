import { chanceBy, type DayPlan as Order, planDay, type PlannedBefore, playedOut, readyBy } from '@truelay/core/order'
import { type PaceOf, recallPaces } from '@truelay/core/memory'
import type { PartQuestion, Today } from '@truelay/core/plan'
import { climb } from '@truelay/core/plan'
import type { Practice } from '@truelay/core/practice'
import {
  dayOfShop,
  type Help,
  type JobToDo,
  leavesTask,
  type Overdue,
  outlineOf,
  type PartToDo,
  type ShopToday,
  type StepOutline,
  type Work,
  whatHelps,
} from '@truelay/core/shopDay'

/** A part of which the steps are known, or are still to be found by planning it. */
export interface PartAsked extends Omit<PartToDo, 'steps' | 'pace'> {
  readonly steps: readonly StepOutline[] | null
  readonly question: { readonly part: PartQuestion; readonly today: Today } | null
  readonly paceOf: PaceOf
}

export interface DayAsked extends Omit<ShopToday, 'jobs' | 'practice'> {
  readonly jobs: readonly (Omit<JobToDo, 'parts'> & { readonly parts: readonly PartAsked[] })[]
  /** Processor time for looking for a better plan; 0: the plan that stands is pushed through, and no more. */
  readonly seconds: number
  readonly practice: Practice
  /** What earlier fits took, real minutes over planned ones. */
  readonly paces: readonly (PaceOf & { readonly pace: number | null })[]
  /** What earlier fits teach of parts, where that has been reckoned already. */
  readonly known?: Readonly<Record<string, Pace>> | undefined
  /** Whether anybody asks what would help where something is late; they do if left out. */
  readonly asksHelp?: boolean
  /** The plan that stands, if there is one. */
  readonly before: readonly WorkBefore[]
}

/** A work of the plan that stands. */
export interface WorkBefore extends PlannedBefore, Work {}

/** Real minutes over planned ones: the middle, and how far they spread (of the logarithm). */
export interface Pace {
  readonly middle: number
  readonly spread: number
}

export interface DayReckoned {
  readonly order: Order
  readonly works: readonly Work[]
  readonly overdue: readonly Overdue[]
  /** Chance of each promise, and by which minute nine of ten days have the vehicle ready. */
  /** What would make the vehicles least late; null where nothing is late or nothing helps, or nobody looked. */
  readonly helps: Help | null
  readonly promises: readonly {
    readonly jobId: string
    readonly readyMinute: number
    readonly chance: number
    readonly sureMinute: number
  }[]
  /** Steps by part, of all that could be planned; and what earlier fits teach of each. */
  readonly steps: Readonly<Record<string, readonly StepOutline[]>>
  readonly paces: Readonly<Record<string, Pace>>
}

/** Coarse: the steps and their minutes need no finer lay. */
const triangles = 300
/** Days that are played out for the chance of a promise. */
const daysPlayed = 200
/** Processor time for each change that might help. */
const helpSeconds = 0.5
/** What is promised is kept on so large a share of them. */
const sure = 0.9

/**
 * Plans the parts whose steps are not known, and then the day: seconds of work, so it runs in a process of its own. Null where no order was
 * found. Parts that cannot be planned are left out.
 */
export function reckonDay(asked: DayAsked, spentMs: () => number): DayReckoned | null {
  const { jobs, seconds, before, practice, asksHelp = seconds > 0, ...shop } = asked
  const steps: Record<string, readonly StepOutline[]> = {}
  const paces = asked.known ?? pacesOf(asked)
  const known = jobs.map((job) => ({
    ...job,
    parts: job.parts.flatMap(({ question, ...part }): PartToDo[] => {
      const own = part.steps ?? (question === null ? null : stepsOf(question))
      if (own === null) return []
      steps[part.partId] = own
      return [{ ...part, steps: own, pace: paces[part.partId]?.middle ?? 1 }]
    }),
  }))
  const today = { ...shop, practice, jobs: known }
  const { day, works, overdue } = dayOfShop(today)
  const stands = before.length === 0 ? undefined : asTasks(before, works, day)
  const order = planDay(day, { seconds, spentMs, lateIsAllowed: true, gain: practice.dayGain, before: stands })
  if (!order.ok) return null
  // What is kept free is there to be used.
  const bare = dayOfShop({ ...shop, practice: { ...practice, ...noSlack }, jobs: known }).day
  const partOf = new Map(works.map(({ taskId, partId }) => [taskId, partId ?? '']))
  const ends = playedOut(bare, order.value.tasks, {
    runs: daysPlayed,
    spread: (task) => paces[partOf.get(task) ?? '']?.spread ?? practice.dayPaceSpread,
    oneOf: (task) => partOf.get(task) ?? '',
  })
  return {
    order: order.value,
    works,
    overdue,
    helps: !asksHelp ? null : whatHelps(today, order.value, { secondsEach: helpSeconds, spentMs }),
    steps,
    paces,
    promises: jobs.map(({ jobId, dueIn }) => {
      const ready = ends.get(leavesTask(jobId)) ?? []
      return {
        jobId,
        readyMinute: readyBy(ready, 0.5),
        chance: chanceBy(ready, dueIn),
        sureMinute: readyBy(ready, sure),
      }
    }),
  }
}

const noSlack = { dayPairSlack: 0, dayPauseSlack: 0, dayPromiseSlack: 0 }

function pacesOf({ jobs, paces, practice }: DayAsked): Record<string, Pace> {
  const parts = jobs.flatMap((job) => job.parts)
  const recalled = recallPaces(
    paces,
    parts.map(({ paceOf }) => paceOf),
  )
  return Object.fromEntries(
    parts.map(({ partId }, i): [string, Pace] => {
      const own = recalled?.[i]
      if (own === undefined) return [partId, { middle: 1, spread: practice.dayPaceSpread }]
      // 90 % lie within 1.64 standard deviations to either side.
      const unsure = Math.log(own.high / own.low) / (2 * 1.64)
      return [partId, { middle: own.mean, spread: Math.hypot(unsure, practice.dayPaceSpread) }]
    }),
  )
}

/** The plan that stands by the tasks of this one: steps that were done since have left theirs, and what is put off goes to its new time in the order. */
function asTasks(
  before: readonly WorkBefore[],
  works: readonly Work[],
  { tasks }: ReturnType<typeof dayOfShop>['day'],
): Record<string, PlannedBefore> {
  const byStep = new Map(before.flatMap((work) => work.stepIds.map((step) => [`${work.partId} ${step}`, work])))
  const byTask = new Map(before.map((work) => [work.taskId, work]))
  const notBefore = new Map(tasks.map((task) => [task.id, task.notBefore ?? 0]))
  const putOff = new Map<string, number>()
  return Object.fromEntries(
    works.flatMap(({ taskId, partId, stepIds }) => {
      const old = partId === null || stepIds.length === 0 ? byTask.get(taskId) : byStep.get(`${partId} ${stepIds[0]}`)
      if (old === undefined) return []
      const part = partId ?? taskId
      const later = Math.max(putOff.get(part) ?? 0, (notBefore.get(taskId) ?? 0) - old.startMinute)
      putOff.set(part, later)
      return [[taskId, { startMinute: old.startMinute + later, people: old.people }]]
    }),
  )
}

function stepsOf({ part, today }: NonNullable<PartAsked['question']>): StepOutline[] | null {
  const climbed = climb(part, today, { triangles })
  return climbed.ok ? outlineOf(climbed.value.plan.steps) : null
}
