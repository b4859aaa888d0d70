import { seededNormal, seededRandom } from '../numerics/index.ts'
import type { Day } from './day.ts'
import type { PlannedTask } from './planned.ts'

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
const [ofWhole, ofStep] = [Math.sqrt(shared), Math.sqrt(1 - shared)]

/**
 * A plan played out over and over with minutes as they really fall: everybody keeps to the own order, and begins as soon as hands, tool, place and
 * least wait let it. Work that has begun before a break is ended in it. Ends by task, sorted. Nobody plans anew in it and no greatest wait ends it,
 * so real days go a little better than it says.
 */
export function playedOut(day: Day, plan: readonly PlannedTask[], options: PlayOptions): ReadonlyMap<string, number[]> {
  const normal = seededNormal(seededRandom(options.seed ?? 1))
  const turns = turnsOf(day, plan)
  const spread = turns.map(({ task }) => options.spread(task.id))
  const wholes = [...new Set(turns.map(({ task }) => options.oneOf(task.id)))]
  const whole = turns.map(({ task }) => wholes.indexOf(options.oneOf(task.id)))
  const table = new Table(day)
  const ends = turns.map(() => [] as number[])
  const minutes = new Float64Array(turns.length)
  for (let run = 0; run < options.runs; run++) {
    const factors = wholes.map(normal)
    turns.forEach(({ task }, k) => {
      const ratio = Math.exp((spread[k] ?? 0) * (ofWhole * (factors[whole[k] ?? 0] ?? 0) + ofStep * normal()))
      minutes[k] = task.minutes === 0 ? 0 : Math.max(1, Math.round(task.minutes * ratio))
    })
    const end = table.play(turns, minutes)
    for (let k = 0; k < end.length; k++) ends[k]?.push(end[k] as number)
  }
  for (const list of ends) list.sort((a, b) => a - b)
  return new Map(turns.map(({ task }, k) => [task.id, ends[k] ?? []]))
}

/** A task in its turn; people, tools and other turns by their place. */
interface Turn {
  readonly task: Day['tasks'][number]
  readonly people: readonly number[]
  readonly tools: readonly number[]
  readonly after: readonly { readonly turn: number; readonly wait: number }[]
  readonly breaks: readonly (readonly [from: number, to: number])[]
  /** Holds that begin or end with it. */
  readonly begins: readonly { readonly hold: number; readonly tool: number }[]
  readonly ends: readonly { readonly hold: number; readonly tool: number }[]
}

/** Tasks in the order of their planned starts; of those that begin at once, what takes no time and what frees a place comes first. */
function turnsOf(day: Day, plan: readonly PlannedTask[]): Turn[] {
  const by = new Map(plan.map((task) => [task.id, task]))
  const { holds = [], breaks = [] } = day
  const personOf = new Map(day.people.map(({ id }, p) => [id, p]))
  const toolOf = new Map(day.tools.map(({ id }, t) => [id, t]))
  const holdsAt = (end: 'from' | 'to', id: string) =>
    holds.flatMap((hold, h) => (hold[end] === id ? [{ hold: h, tool: toolOf.get(hold.tool) ?? 0 }] : []))
  const inOrder = day.tasks
    .map((task, index) => ({ task, index, begins: holdsAt('from', task.id), start: by.get(task.id)?.startMinute ?? 0 }))
    .sort(
      (a, b) =>
        a.start - b.start || a.task.minutes - b.task.minutes || a.begins.length - b.begins.length || a.index - b.index,
    )
  const turnOf = new Map(inOrder.map(({ task }, k) => [task.id, k]))
  return inOrder.map(({ task, begins }): Turn => {
    const names = by.get(task.id)?.people ?? []
    return {
      task,
      people: names.map((id) => personOf.get(id) ?? 0),
      tools: task.tools.map((id) => toolOf.get(id) ?? 0),
      after: task.after.map((wait) => ({ turn: turnOf.get(wait.task) ?? 0, wait: Math.ceil(wait.minMinutes) })),
      breaks: breaks
        .filter((rest) => rest.people === undefined || names.some((id) => rest.people?.includes(id)))
        .map(({ from, to }) => [from, to] as const)
        .sort((a, b) => a[0] - b[0]),
      begins,
      ends: holdsAt('to', task.id),
    }
  })
}

/** When everybody and every tool is free in the run that is being played. */
class Table {
  private readonly freeAt: Float64Array
  private readonly units: readonly Float64Array[]
  private readonly held: Int32Array

  constructor(day: Day) {
    this.freeAt = new Float64Array(day.people.length)
    this.units = day.tools.map(({ count }) => new Float64Array(count))
    this.held = new Int32Array(day.holds?.length ?? 0)
  }

  play(turns: readonly Turn[], minutes: Float64Array): Float64Array {
    const { freeAt, units, held } = this
    freeAt.fill(0)
    for (const row of units) row.fill(0)
    const end = new Float64Array(turns.length)
    turns.forEach(({ task, people, tools, after, breaks, begins, ends }, k) => {
      let start = task.notBefore ?? 0
      for (const { turn, wait } of after) start = Math.max(start, (end[turn] as number) + wait)
      for (const p of people) start = Math.max(start, freeAt[p] as number)
      const taken = tools.map((tool) => firstFree(units[tool]))
      tools.forEach((tool, n) => {
        start = Math.max(start, units[tool]?.[taken[n] ?? 0] ?? 0)
      })
      for (const { hold, tool } of begins) {
        const unit = firstFree(units[tool])
        held[hold] = unit
        const free = units[tool]?.[unit] ?? 0
        if (Number.isFinite(free)) start = Math.max(start, free)
      }
      if (task.minutes > 0) for (const [from, to] of breaks) if (start < to && start + task.minutes > from) start = to
      const over = start + (minutes[k] as number)
      end[k] = over
      for (const p of people) freeAt[p] = over
      tools.forEach((tool, n) => {
        this.set(tool, taken[n] ?? 0, over)
      })
      for (const { hold, tool } of begins) this.set(tool, held[hold] ?? 0, Number.POSITIVE_INFINITY)
      for (const { hold, tool } of ends) this.set(tool, held[hold] ?? 0, over)
    })
    return end
  }

  private set(tool: number, unit: number, free: number): void {
    const row = this.units[tool]
    if (row !== undefined) row[unit] = free
  }
}

function firstFree(units: Float64Array | undefined): number {
  let best = 0
  for (let u = 1; u < (units?.length ?? 0); u++) if ((units?.[u] ?? 0) < (units?.[best] ?? 0)) best = u
  return best
}

/** Share of the runs that end by a minute. */
export const chanceBy = (ends: readonly number[], minute: number): number =>
  ends.length === 0 ? 0 : ends.filter((end) => end <= minute).length / ends.length

/** The minute by which so large a share of the runs has ended. */
export const readyBy = (ends: readonly number[], share: number): number =>
  ends[Math.min(ends.length - 1, Math.ceil(share * ends.length) - 1)] ?? 0
