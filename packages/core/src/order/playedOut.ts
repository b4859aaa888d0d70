import { seededNormal, seededRandom } from '../numerics/index.ts'
import type { Day, DayBreak } from './day.ts'
import type { PlannedTask } from './planDay.ts'

export interface PlayOptions {
  /** How far a task takes longer or shorter than planned: standard deviation of the logarithm of the ratio. */
  readonly spread: (task: string) => number
  /** What goes well or badly as one, by task. */
  readonly oneOf: (task: string) => string
  readonly runs: number
  readonly seed?: number
}

/** Share of the spread that is of the whole thing, not of the single step. */
const shared = 0.7

/**
 * A plan played out over and over with minutes as they really fall: everybody keeps to the own order, and begins as soon as hands, tool, place and
 * least wait let it. Work that has begun before a break is ended in it. Ends by task, sorted. Nobody plans anew in it and no greatest wait ends it,
 * so real days go a little better than it says.
 */
export function playedOut(day: Day, plan: readonly PlannedTask[], options: PlayOptions): ReadonlyMap<string, number[]> {
  const normal = seededNormal(seededRandom(options.seed ?? 1))
  const ends = new Map(day.tasks.map(({ id }) => [id, [] as number[]]))
  const turns = turnsOf(day, plan)
  for (let run = 0; run < options.runs; run++) {
    const factors = new Map<string, number>()
    const factorOf = (name: string) => {
      const known = factors.get(name) ?? normal()
      factors.set(name, known)
      return known
    }
    const ratio = (id: string) => {
      const sigma = options.spread(id)
      return Math.exp(sigma * (Math.sqrt(shared) * factorOf(options.oneOf(id)) + Math.sqrt(1 - shared) * normal()))
    }
    for (const [id, end] of played(day, turns, ratio)) ends.get(id)?.push(end)
  }
  for (const list of ends.values()) list.sort((a, b) => a - b)
  return ends
}

interface Turn {
  readonly task: Day['tasks'][number]
  readonly people: readonly string[]
  /** Holds that begin or end with it. */
  readonly begins: readonly number[]
  readonly ends: readonly number[]
}

/** Tasks in the order of their planned starts; of those that take no time, what frees a place comes first. */
function turnsOf(day: Day, plan: readonly PlannedTask[]): Turn[] {
  const by = new Map(plan.map((task) => [task.id, task]))
  const { holds = [] } = day
  const turns = day.tasks.map((task) => ({
    task,
    people: by.get(task.id)?.people ?? [],
    start: by.get(task.id)?.startMinute ?? 0,
    begins: holds.flatMap(({ from }, h) => (from === task.id ? [h] : [])),
    ends: holds.flatMap(({ to }, h) => (to === task.id ? [h] : [])),
  }))
  return turns
    .map((turn, index) => ({ turn, index }))
    .sort(
      (a, b) =>
        a.turn.start - b.turn.start ||
        a.turn.task.minutes - b.turn.task.minutes ||
        a.turn.begins.length - b.turn.begins.length ||
        a.index - b.index,
    )
    .map(({ turn }) => turn)
}

function played(day: Day, turns: readonly Turn[], ratio: (task: string) => number): ReadonlyMap<string, number> {
  const end = new Map<string, number>()
  const freeAt = new Map(day.people.map(({ id }) => [id, 0]))
  const units = new Map(day.tools.map(({ id, count }) => [id, new Array<number>(count).fill(0)]))
  const held = new Map<number, number>()
  for (const { task, people, begins, ends } of turns) {
    let start = task.notBefore ?? 0
    for (const { task: before, minMinutes } of task.after)
      start = Math.max(start, (end.get(before) ?? 0) + Math.ceil(minMinutes))
    for (const id of people) start = Math.max(start, freeAt.get(id) ?? 0)
    const taken = task.tools.map((tool) => ({ tool, unit: firstFree(units.get(tool) ?? []) }))
    for (const { tool, unit } of taken) start = Math.max(start, units.get(tool)?.[unit] ?? 0)
    const holds = begins.map((h) => {
      const tool = day.holds?.[h]?.tool ?? ''
      return { h, tool, unit: firstFree(units.get(tool) ?? []) }
    })
    for (const { tool, unit } of holds) {
      const free = units.get(tool)?.[unit] ?? 0
      if (Number.isFinite(free)) start = Math.max(start, free)
    }
    if (task.minutes > 0) start = pastBreaks(day.breaks ?? [], people, start, task.minutes)
    const over = start + (task.minutes === 0 ? 0 : Math.max(1, Math.round(task.minutes * ratio(task.id))))
    end.set(task.id, over)
    for (const id of people) freeAt.set(id, over)
    for (const { tool, unit } of taken) units.get(tool)?.splice(unit, 1, over)
    for (const { h, tool, unit } of holds) {
      units.get(tool)?.splice(unit, 1, Number.POSITIVE_INFINITY)
      held.set(h, unit)
    }
    for (const h of ends) {
      const unit = held.get(h)
      if (unit !== undefined) units.get(day.holds?.[h]?.tool ?? '')?.splice(unit, 1, over)
    }
  }
  return end
}

const firstFree = (units: readonly number[]) => units.indexOf(Math.min(...units))

/** The first start from which the planned minutes end before the next break of these people. */
function pastBreaks(breaks: readonly DayBreak[], people: readonly string[], from: number, minutes: number): number {
  const own = breaks
    .filter((rest) => rest.people === undefined || people.some((id) => rest.people?.includes(id)))
    .sort((a, b) => a.from - b.from)
  return own.reduce((start, rest) => (start < rest.to && start + minutes > rest.from ? rest.to : start), from)
}

/** Share of the runs that end by a minute. */
export const chanceBy = (ends: readonly number[], minute: number): number =>
  ends.length === 0 ? 0 : ends.filter((end) => end <= minute).length / ends.length

/** The minute by which so large a share of the runs has ended. */
export const readyBy = (ends: readonly number[], share: number): number =>
  ends[Math.min(ends.length - 1, Math.ceil(share * ends.length) - 1)] ?? 0
