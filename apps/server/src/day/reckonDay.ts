import type { PartQuestion, Today } from '@truelay/core/plan'
import { climb } from '@truelay/core/plan'
import { type DayPlan as Order, planDay, type PlannedBefore } from '@truelay/core/order'
import {
  dayOfShop,
  type JobToDo,
  outlineOf,
  type PartToDo,
  type ShopToday,
  type StepOutline,
  type Work,
} from '@truelay/core/shopDay'

/** A part of which the steps are known, or are still to be found by planning it. */
export interface PartAsked extends Omit<PartToDo, 'steps'> {
  readonly steps: readonly StepOutline[] | null
  readonly question: { readonly part: PartQuestion; readonly today: Today } | null
}

export interface DayAsked extends Omit<ShopToday, 'jobs'> {
  readonly jobs: readonly (Omit<JobToDo, 'parts'> & { readonly parts: readonly PartAsked[] })[]
  readonly seconds: number
  /** The plan that stands, if there is one. */
  readonly before: readonly WorkBefore[]
}

/** A work of the plan that stands. */
export interface WorkBefore extends PlannedBefore, Work {}

export interface DayReckoned {
  readonly order: Order
  readonly works: readonly Work[]
  /** Steps by part, of all that could be planned. */
  readonly steps: Readonly<Record<string, readonly StepOutline[]>>
}

/** Coarse: the steps and their minutes need no finer lay. */
const triangles = 300

/**
 * Plans the parts whose steps are not known, and then the day: seconds of work, so it runs in a process of its own. Null where no order was
 * found. Parts that cannot be planned are left out.
 */
export function reckonDay({ jobs, seconds, before, ...shop }: DayAsked, spentMs: () => number): DayReckoned | null {
  const steps: Record<string, readonly StepOutline[]> = {}
  const known = jobs.map((job) => ({
    ...job,
    parts: job.parts.flatMap(({ question, ...part }): PartToDo[] => {
      const own = part.steps ?? (question === null ? null : stepsOf(question))
      if (own === null) return []
      steps[part.partId] = own
      return [{ ...part, steps: own }]
    }),
  }))
  const { day, works } = dayOfShop({ ...shop, jobs: known })
  const order = planDay(day, {
    seconds,
    spentMs,
    lateIsAllowed: true,
    before: before.length === 0 ? undefined : asTasks(before, works),
  })
  return order.ok ? { order: order.value, works, steps } : null
}

/** The plan that stands by the tasks of this one: steps that were done since have left theirs. */
function asTasks(before: readonly WorkBefore[], works: readonly Work[]): Record<string, PlannedBefore> {
  const byStep = new Map(before.flatMap((work) => work.stepIds.map((step) => [`${work.partId} ${step}`, work])))
  const byTask = new Map(before.map((work) => [work.taskId, work]))
  return Object.fromEntries(
    works.flatMap(({ taskId, partId, stepIds }) => {
      const old = partId === null ? byTask.get(taskId) : byStep.get(`${partId} ${stepIds[0]}`)
      return old === undefined ? [] : [[taskId, { startMinute: old.startMinute, people: old.people }]]
    }),
  )
}

function stepsOf({ part, today }: NonNullable<PartAsked['question']>): StepOutline[] | null {
  const climbed = climb(part, today, { triangles })
  return climbed.ok ? outlineOf(climbed.value.plan.steps) : null
}
