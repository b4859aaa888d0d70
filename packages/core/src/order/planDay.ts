import { done, refused } from '../result/index.ts'
import { type DayResult, failure } from './dayFailures.ts'
import { clauses, name, say } from '../say/index.ts'
import { becauseOf } from './because.ts'
import { type Day, never } from './day.ts'
import { dayTrouble } from './dayTrouble.ts'
import { canBeExact, exact } from './exact.ts'
import { longestPaths } from './longestPaths.ts'
import { lowerBound } from './lowerBound.ts'
import { single } from './blockShape.ts'
import { blocksOf } from './blocks.ts'
import { ListDecoder } from './listDecoder.ts'
import { type Net, netOf } from './net.ts'
import { whyNoOrder } from './noOrder.ts'
import type { PlannedBefore, PlannedTask } from './planned.ts'
import { pushThrough } from './pushThrough.ts'
import { type Found, measured, search } from './search.ts'
import { whoDoes } from './who.ts'

export interface DayPlan {
  readonly makespanMinutes: number
  /** No plan is shorter. */
  readonly lowerBoundMinutes: number
  readonly proven: boolean
  readonly tasks: readonly PlannedTask[]
  /** What ends after its latest end, where that was allowed. */
  readonly late: readonly { readonly id: string; readonly minutes: number }[]
}

export interface PlanDayOptions {
  /** Processor time that it may take; 0: the plan before is pushed through, and nobody asks how good it is. */
  readonly seconds: number
  /** Processor time spent until now, ms. */
  readonly spentMs: () => number
  /** Latest ends may be missed where no plan keeps them; otherwise that is a failure. */
  readonly lateIsAllowed?: boolean
  readonly seed?: number
  /** For less the plan before is not left, minutes; 5 if left out. */
  readonly gain?: number
  /** The plan before, by task: it stands as far as it goes, and is left only for a gain. */
  readonly before?: Readonly<Record<string, PlannedBefore>> | undefined
}

/** What is gained has to be worth that people change over, minutes. */
const usualGain = 5
/** Where hours are missing anyway, minutes are found at every turn: this share of what is late has to be won. */
const shareOfLate = 0.02

/** Up to so many tasks the exact search is worth its time. */
const mostExact = 40
/** Share of the time after which a small day goes to the exact search; the proof that there is no order may take as long again. */
const searchShare = 0.1

/** Who does what when: the shortest plan that is found in the time given, and how much shorter another one could be at the most. */
export function planDay(day: Day, options: PlanDayOptions): DayResult<DayPlan> {
  const trouble = dayTrouble(day)
  if (trouble !== null) return refused(trouble)
  const net = { ...netOf(day), wished: wishedOf(day, options.before) }
  const paths = longestPaths(net)
  if (!paths.ok)
    return refused(
      failure('DAY_CIRCLE', { tasks: clauses(paths.circle.map((i) => say`“${name(day.tasks[i]?.id ?? '')}”`)) }),
    )
  const missed = paths.start.findIndex((start, i) => start > (net.late[i] ?? never))
  if (missed >= 0 && options.lateIsAllowed !== true)
    return refused(
      failure('DAY_WINDOW_MISSED', {
        task: day.tasks[missed]?.id ?? '',
        end: (paths.start[missed] ?? 0) + (net.minutes[missed] ?? 0),
        notAfter: day.tasks[missed]?.notAfter ?? 0,
      }),
    )
  const began = options.spentMs()
  const leftOf = (seconds: number) => () => 1 - (options.spentMs() - began) / (1000 * seconds)
  const until = (seconds: number) => () => leftOf(seconds)() > 0
  const small = net.size <= mostExact && canBeExact(net)
  let bound = options.seconds === 0 ? longestOf(paths.start, net) : lowerBound(net)
  const stands = options.before === undefined ? null : asBefore(net, day, options.before)
  if (stands !== null && options.seconds === 0 && (stands.late === 0 || options.lateIsAllowed === true))
    return done(toldOf(day, net, stands, bound))
  const found = search(net, {
    bound,
    from: stands,
    left: leftOf(small ? searchShare * options.seconds : options.seconds),
    ...(options.seed === undefined ? {} : { seed: options.seed }),
  })
  const gain = stands === null || found.best === null ? Number.POSITIVE_INFINITY : gainOf(stands, found.best)
  const worthIt = (options.gain ?? usualGain) + shareOfLate * (stands?.late ?? 0)
  if (stands !== null && gain < worthIt && (stands.late === 0 || options.lateIsAllowed === true))
    return done(toldOf(day, net, stands, bound))
  let best = found.best !== null && (found.best.late === 0 || options.lateIsAllowed === true) ? found.best : null
  if (small && found.best?.late !== 0) {
    const why = options.lateIsAllowed === true ? null : whyNoOrder(day, until(2 * options.seconds))
    if (why !== null) return refused(why)
  }
  if (small && (best === null || (best.late === 0 && best.minutes > bound))) {
    const shorter = exact(net, best === null ? net.horizon : best.minutes, until(options.seconds))
    if (shorter.start !== null) best = measured(net, { start: shorter.start, who: new Int32Array(net.size) })
    if (shorter.proven && best !== null) bound = best.minutes
  }
  if (best === null)
    return refused(
      found.best === null
        ? failure('DAY_NOT_FOUND', { tried: found.tried })
        : failure('DAY_LATE', latestOf(day, found.best)),
    )
  return done(toldOf(day, net, best, bound))
}

const longestOf = (start: Int32Array, { minutes }: Net): number =>
  start.reduce((most, at, i) => Math.max(most, at + (minutes[i] ?? 0)), 0)

/** By how many minutes a plan is better than the one that stands; lateness counts in full, the end of the day as it is. */
const gainOf = (stands: Found, found: Found): number =>
  stands.late - found.late + stands.minutes - found.minutes + stands.beside - found.beside

function wishedOf(day: Day, before: PlanDayOptions['before']): Int32Array | null {
  if (before === undefined) return null
  const bit = new Map(day.people.map(({ id }, p) => [id, 1 << p]))
  return Int32Array.from(day.tasks, ({ id }) =>
    (before[id]?.people ?? []).reduce((bits, person) => bits | (bit.get(person) ?? 0), 0),
  )
}

/** The plan before, placed once more in its order: what runs over pushes through, and nothing else moves. What is new comes after all that was. */
function asBefore(net: Net, day: Day, before: Readonly<Record<string, PlannedBefore>>): Found | null {
  const pushed = pushThrough(net, day, before)
  if (pushed !== null) return measured(net, pushed)
  const last = Math.max(0, ...Object.values(before).map(({ startMinute }) => startMinute))
  const keys = Float64Array.from(day.tasks, ({ id }, i) => before[id]?.startMinute ?? last + i / day.tasks.length)
  for (const blocks of [single(net.size), blocksOf(net, shortWait)]) {
    const placed = blocks === null ? null : new ListDecoder(net, blocks, true).decode(keys)
    if (placed !== null) return measured(net, placed)
  }
  return null
}
/** Free minutes in a greatest wait up to which tasks are kept together when a plan is placed once more. */
const shortWait = 10

function latestOf(day: Day, { start }: Found): { task: string; late: number } {
  const late = lateOf(day, start)
  return { task: late[0]?.id ?? '', late: late[0]?.minutes ?? 0 }
}

const lateOf = (day: Day, start: Int32Array): DayPlan['late'] =>
  day.tasks
    .flatMap(({ id, minutes, notAfter }, i) => {
      const late = notAfter === undefined ? 0 : (start[i] ?? 0) + minutes - Math.floor(notAfter)
      return late > 0 ? [{ id, minutes: late }] : []
    })
    .sort((a, b) => b.minutes - a.minutes)

function toldOf(day: Day, net: Net, best: Found, bound: number): DayPlan {
  const who = whoDoes(day, net, best)
  const because = becauseOf(day, net, best.start)
  return {
    makespanMinutes: best.minutes,
    lowerBoundMinutes: Math.min(bound, best.minutes),
    proven: best.late === 0 && best.minutes <= bound,
    tasks: day.tasks.map(({ id, minutes }, i) => ({
      id,
      startMinute: best.start[i] ?? 0,
      endMinute: (best.start[i] ?? 0) + minutes,
      people: (who[i] ?? []).map((p) => day.people[p]?.id ?? ''),
      because: because(i),
    })),
    late: lateOf(day, best.start),
  }
}
