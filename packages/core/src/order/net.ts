import { type Day, type DayTask, never } from './day.ts'

/** An arc: the start of `to` is at the least the start of the task it goes out from plus `lag`, minutes. */
export interface Arc {
  readonly to: number
  readonly lag: number
}

/** The arcs of task i stand from `first[i]` to before `first[i + 1]`. */
export interface ArcRows {
  readonly first: Int32Array
  readonly to: Int32Array
  readonly lag: Int32Array
}

/** What one task needs of a resource; resource 0 is people. */
export interface Need {
  readonly of: number
  readonly amount: number
}

/** A day as numbers: tasks and resources by their index. */
export interface Net {
  readonly size: number
  readonly minutes: Int32Array
  /** Minutes times people. */
  readonly work: Int32Array
  readonly out: readonly (readonly Arc[])[]
  /** All arcs between different tasks in rows, from either end: what a decoder walks. */
  readonly outRows: ArcRows
  readonly intoRows: ArcRows
  /** Earliest and latest start. */
  readonly early: Int32Array
  readonly late: Int32Array
  readonly needs: readonly (readonly Need[])[]
  readonly capacity: readonly number[]
  readonly holds: readonly { readonly of: number; readonly from: number; readonly to: number }[]
  /** Minutes in which nobody works, the earliest first. */
  readonly pauses: readonly (readonly [from: number, to: number])[]
  /** Who works when: only where people differ. */
  readonly crew: Crew | null
  /** Who did a task in the plan before, by bits: they are taken again where it goes. Null: there was none. */
  readonly wished: Int32Array | null
  /** No plan that is worth anything takes longer, minutes. */
  readonly horizon: number
}

/** People that differ in what they can do, or in when they rest. */
export interface Crew {
  /** Who can do a task, by task: one bit for each person. */
  readonly able: Int32Array
  readonly pauses: readonly (readonly (readonly [from: number, to: number])[])[]
  /** How many tasks a person can do: who can do least is taken first. */
  readonly use: Int32Array
  /** Tasks that stay in the same hands, by task; itself is one of them, and empty where it belongs to nothing. */
  readonly together: readonly (readonly number[])[]
  /** Who began it before the plan, by bits. */
  readonly begun: Int32Array
  readonly handOver: number
  /** What it counts for to go over to something else, minutes; 0: only the length of the plan counts. */
  readonly changeOver: number
}

/** More cannot be told apart by bits. */
export const mostPeople = 30

export function netOf(day: Day): Net {
  const { tasks, holds = [], breaks = [] } = day
  const index = new Map(tasks.map(({ id }, i) => [id, i]))
  const tools = new Map(day.tools.map(({ id }, i) => [id, i + 1]))
  const at = (id: string) => index.get(id) ?? -1
  const minutes = Int32Array.from(tasks, (task) => task.minutes)
  const arcs: [from: number, to: number, lag: number][] = tasks.flatMap((task, j) =>
    task.after.flatMap(({ task: before, minMinutes, maxMinutes }): [number, number, number][] => {
      const i = at(before)
      const worked = minutes[i] ?? 0
      return [
        [i, j, worked + Math.ceil(minMinutes)],
        ...(maxMinutes === undefined ? [] : [[j, i, -worked - Math.floor(maxMinutes)] as [number, number, number]]),
      ]
    }),
  )
  for (const { from, to } of holds) arcs.push([at(from), at(to), -(minutes[at(to)] ?? 0)])
  const waits = tasks.map((task) =>
    task.after.reduce((most, { minMinutes }) => Math.max(most, Math.ceil(minMinutes)), 0),
  )
  const rests = breaks.reduce((sum, { from, to }) => sum + to - from, 0)
  const latest = tasks.reduce((most, { notBefore = 0 }) => Math.max(most, notBefore), 0)
  const all = breaks.filter(({ people }) => people === undefined)
  return {
    size: tasks.length,
    minutes,
    work: Int32Array.from(tasks, (task) => task.minutes * task.people),
    ...sides(tasks.length, arcs),
    early: Int32Array.from(tasks, ({ notBefore = 0 }) => Math.max(0, Math.ceil(notBefore))),
    late: Int32Array.from(tasks, ({ notAfter, minutes: worked }) =>
      notAfter === undefined ? never : Math.floor(notAfter) - worked,
    ),
    needs: tasks.map((task) => needsOf(task, tools)),
    capacity: [day.people.length, ...day.tools.map(({ count }) => count)],
    holds: holds.map(({ tool, from, to }) => ({ of: tools.get(tool) ?? -1, from: at(from), to: at(to) })),
    pauses: all.map(({ from, to }) => [from, to] as const).sort((a, b) => a[0] - b[0]),
    crew: crewOf(day),
    wished: null,
    horizon: 2 * (minutes.reduce((sum, m) => sum + m, 0) + waits.reduce((sum, m) => sum + m, 0) + rests) + latest + 600,
  }
}

function sides(
  size: number,
  arcs: readonly (readonly [from: number, to: number, lag: number])[],
): Pick<Net, 'out' | 'outRows' | 'intoRows'> {
  const out: Arc[][] = Array.from({ length: size }, () => [])
  const into: Arc[][] = Array.from({ length: size }, () => [])
  for (const [from, to, lag] of arcs) {
    out[from]?.push({ to, lag })
    into[to]?.push({ to: from, lag })
  }
  return { out, outRows: inRows(out), intoRows: inRows(into) }
}

function inRows(lists: readonly (readonly Arc[])[]): ArcRows {
  const first = new Int32Array(lists.length + 1)
  lists.forEach((list, i) => {
    first[i + 1] = (first[i] ?? 0) + list.length
  })
  const all = lists.flat()
  return { first, to: Int32Array.from(all, ({ to }) => to), lag: Int32Array.from(all, ({ lag }) => lag) }
}

function needsOf({ people, tools }: DayTask, resources: ReadonlyMap<string, number>): Need[] {
  const counts = new Map<number, number>()
  for (const tool of tools) {
    const of = resources.get(tool) ?? -1
    counts.set(of, (counts.get(of) ?? 0) + 1)
  }
  return [...(people > 0 ? [{ of: 0, amount: people }] : []), ...[...counts].map(([of, amount]) => ({ of, amount }))]
}

function crewOf({ people, tasks, breaks = [], handOverMinutes = 0, changeOverMinutes = 0 }: Day): Crew | null {
  const differ =
    tasks.some(({ skill, sameHands }) => skill !== undefined || sameHands !== undefined) ||
    breaks.some((rest) => rest.people !== undefined)
  if (!differ) return null
  const can = (who: Day['people'][number], { skill }: DayTask) =>
    skill === undefined || who.skills?.includes(skill) === true
  return {
    able: Int32Array.from(tasks, (task) =>
      people.reduce((bits, who, p) => (can(who, task) ? bits | (1 << p) : bits), 0),
    ),
    pauses: people.map(({ id }) =>
      breaks
        .filter((rest) => rest.people === undefined || rest.people.includes(id))
        .map(({ from, to }) => [from, to] as const),
    ),
    use: Int32Array.from(people, (who) => tasks.filter((task) => can(who, task)).length),
    together: togetherOf(tasks),
    begun: Int32Array.from(tasks, ({ begunBy = [] }) =>
      people.reduce((bits, { id }, p) => (begunBy.includes(id) ? bits | (1 << p) : bits), 0),
    ),
    handOver: handOverMinutes,
    changeOver: changeOverMinutes,
  }
}

function togetherOf(tasks: readonly DayTask[]): number[][] {
  const groups = new Map<string, number[]>()
  tasks.forEach(({ sameHands }, i) => {
    if (sameHands !== undefined) groups.set(sameHands, [...(groups.get(sameHands) ?? []), i])
  })
  return tasks.map(({ sameHands }) => (sameHands === undefined ? [] : (groups.get(sameHands) ?? [])))
}

/** The same day seen from its end: what came last comes first. Breaks, windows and who is who are left aside. */
export function reversed(net: Net): Net {
  const { size, minutes } = net
  // With s' = T - s - d: from s_b >= s_a + lag follows s'_a >= s'_b + lag + d_b - d_a.
  const arcs = net.out.flatMap((list, from) =>
    list.map(({ to, lag }) => [to, from, lag + (minutes[to] ?? 0) - (minutes[from] ?? 0)] as const),
  )
  return {
    ...net,
    ...sides(size, arcs),
    early: new Int32Array(size),
    late: new Int32Array(size).fill(never),
    holds: net.holds.map(({ of, from, to }) => ({ of, from: to, to: from })),
    pauses: [],
    crew: null,
  }
}

/** Some of the tasks by themselves. */
export function partOf(net: Net, tasks: readonly number[]): Net {
  const index = new Map(tasks.map((task, k) => [task, k]))
  const arcs = tasks.flatMap((task, from) =>
    (net.out[task] ?? []).flatMap(({ to, lag }) => {
      const k = index.get(to)
      return k === undefined ? [] : [[from, k, lag] as const]
    }),
  )
  const minutes = Int32Array.from(tasks, (task) => net.minutes[task] ?? 0)
  return {
    ...net,
    size: tasks.length,
    minutes,
    work: Int32Array.from(tasks, (task) => net.work[task] ?? 0),
    ...sides(tasks.length, arcs),
    early: new Int32Array(tasks.length),
    late: new Int32Array(tasks.length).fill(never),
    needs: tasks.map((task) => net.needs[task] ?? []),
    holds: [],
    pauses: [],
    crew: null,
    wished: null,
    horizon: 4 * (minutes.reduce((sum, m) => sum + m, 0) + 400),
  }
}
