import { longestPaths, tailsOf } from './longestPaths.ts'
import { type Net, reversed } from './net.ts'

/** More groups behind one place are not tried in every order. */
const mostGroups = 11

/**
 * Minutes that no plan can undercut. Three reasonings, the greatest counts: the longest way; what has to be done between a head and a tail on
 * one resource; and what people cannot have done before and after a time, where one place (a wash bay) lets vehicles through one by one.
 * Of a day without a circle of waits.
 */
export function lowerBound(net: Net): number {
  const paths = longestPaths(net)
  if (!paths.ok) return 0
  const head = paths.start
  const tail = tailsOf(reversed(net))
  let bound = 0
  for (let i = 0; i < net.size; i++) bound = Math.max(bound, (head[i] ?? 0) + (net.minutes[i] ?? 0) + (tail[i] ?? 0))
  for (let r = 0; r < net.capacity.length; r++) bound = Math.max(bound, byEnergy(net, r, head, tail))
  return Math.max(bound, byStarving(net, head, tail, bound))
}

/** Work on a resource, minutes times how many. */
const workOf = (net: Net, r: number) =>
  Int32Array.from({ length: net.size }, (_, i) => {
    const amount = net.needs[i]?.find(({ of }) => of === r)?.amount ?? 0
    return amount * (net.minutes[i] ?? 0)
  })

function byEnergy(net: Net, r: number, head: Int32Array, tail: Int32Array): number {
  const work = workOf(net, r)
  const capacity = net.capacity[r] ?? 1
  const own = [...work.keys()].filter((i) => (work[i] ?? 0) > 0).sort((a, b) => (tail[b] ?? 0) - (tail[a] ?? 0))
  let bound = 0
  for (const from of new Set(own.map((i) => head[i] ?? 0))) {
    let sum = 0
    for (const i of own) {
      if ((head[i] ?? 0) < from) continue
      sum += work[i] ?? 0
      bound = Math.max(bound, from + Math.ceil(sum / capacity) + (tail[i] ?? 0))
    }
  }
  return bound
}

/**
 * The least minutes in which all work of people has room beside what must be idle at the beginning and at the end: for every way to part the
 * plan in two, idle before and idle after.
 */
function byStarving(net: Net, head: Int32Array, tail: Int32Array, least: number): number {
  const people = net.capacity[0] ?? 0
  const work = workOf(net, 0)
  const total = work.reduce((sum, w) => sum + w, 0)
  if (people === 0 || total === 0) return 0
  const reach = Math.ceil(1.2 * Math.max(least, total / people)) + 60
  const atEnd = doneBy(
    net,
    openWork(net, work, tail, () => true),
    reach,
  )
  const late = idleBy(people, reach, (t) => atEnd[t] as number)
  const gates = net.capacity.flatMap((count, r) => (r > 0 && count === 1 ? gateAt(net, r) : []))
  const early = [null, ...gates].map((gate) => idleBehind(net, gate, people, work, head, reach))
  let minutes = Math.max(least, Math.ceil(total / people))
  const room = (idle: Int32Array) => {
    let most = 0
    for (let t = 0; t <= minutes; t++) most = Math.max(most, (idle[t] ?? 0) + (late[minutes - t] ?? 0))
    return people * minutes >= total + most
  }
  while (minutes < reach && !early.every(room)) minutes++
  return minutes
}

/** By minute: what people must have been idle until then, at the least. */
function idleBy(people: number, reach: number, done: (minute: number, idle: number) => number): Int32Array {
  const idle = new Int32Array(reach + 1)
  for (let t = 1; t <= reach; t++) {
    const before = idle[t - 1] ?? 0
    idle[t] = Math.max(before, Math.ceil(people * t - done(t, before) - 1e-6))
  }
  return idle
}

/** Work of people on some tasks, each from its head on; what is done with a tool stands by that tool. */
interface Open {
  readonly head: Int32Array
  readonly minutes: Int32Array
  readonly rate: Float64Array
  /** By the tool that limits them; 0: none. Where a task needs several people, the limit of its tool is left aside. */
  readonly tool: Int32Array
}

function openWork(net: Net, work: Int32Array, head: Int32Array, counts: (task: number) => boolean): Open {
  const tasks = [...work.keys()].filter((i) => (work[i] ?? 0) > 0 && counts(i))
  const lasts = (i: number) => net.minutes[i] ?? 0
  return {
    head: Int32Array.from(tasks, (i) => head[i] ?? 0),
    minutes: Int32Array.from(tasks, lasts),
    rate: Float64Array.from(tasks, (i) => (work[i] ?? 0) / lasts(i)),
    tool: Int32Array.from(tasks, (i) => (work[i] === lasts(i) ? (net.needs[i]?.find(({ of }) => of > 0)?.of ?? 0) : 0)),
  }
}

/** What of it can have been done before each minute up to `reach`, and no more with a tool than there are of it. */
function doneBy(net: Net, { head, minutes, rate, tool }: Open, reach: number): Float64Array {
  const all = new Float64Array(reach + 1)
  for (const of of new Set(tool)) {
    const own = new Pace(reach)
    for (let k = 0; k < head.length; k++)
      if (tool[k] === of) own.add(head[k] as number, minutes[k] as number, rate[k] as number)
    const most = of === 0 ? Number.POSITIVE_INFINITY : (net.capacity[of] ?? 0)
    own.done().forEach((done, t) => {
      all[t] = (all[t] as number) + Math.min(done, most * t)
    })
  }
  return all
}

/** Work added up over the minutes, each piece of it at an even pace. */
class Pace {
  private readonly change: Float64Array

  constructor(private readonly reach: number) {
    this.change = new Float64Array(reach + 1)
  }

  add(from: number, minutes: number, rate: number): void {
    for (const [at, by] of [
      [from, rate],
      [from + minutes, -rate],
    ] as const)
      if (at <= this.reach) this.change[at] = (this.change[at] as number) + by
  }

  /** What has been done before each minute. */
  done(): Float64Array {
    const done = new Float64Array(this.reach + 1)
    let pace = 0
    for (let t = 0; t < this.reach; t++) {
      pace += this.change[t] as number
      done[t + 1] = (done[t] as number) + pace
    }
    return done
  }
}

/** A place of which there is one, and the groups of tasks that it lets through: a group's tasks come after all of its minutes there. */
interface Gate {
  /** The tasks in the place itself: one at a time. */
  readonly inPlace: ReadonlySet<number>
  readonly groups: readonly {
    /** How long the place is needed before the group may go on, minutes. */
    readonly minutes: number
    readonly behind: readonly { readonly task: number; readonly after: number }[]
  }[]
}

function gateAt(net: Net, r: number): Gate[] {
  const inPlace = [...workOf(net, r).keys()].filter(
    (i) => net.needs[i]?.some(({ of }) => of === r) && (net.minutes[i] ?? 0) > 0,
  )
  if (inPlace.length === 0 || inPlace.length > 200) return []
  const ways = inPlace.map((m) => waysFrom(net, m))
  // The tasks behind the same minutes in the place are one group; of groups that share minutes only the largest counts.
  const groups = new Map<string, { members: number[]; behind: number[] }>()
  for (let i = 0; i < net.size; i++) {
    if (net.needs[i]?.some(({ of }) => of === r)) continue
    const members = inPlace.flatMap((_, k) => ((ways[k]?.[i] ?? -1) >= 0 ? [k] : []))
    if (members.length === 0) continue
    const key = members.join(' ')
    const group = groups.get(key) ?? { members, behind: [] }
    group.behind.push(i)
    groups.set(key, group)
  }
  const chosen: { members: number[]; behind: number[] }[] = []
  for (const group of [...groups.values()].sort((a, b) => b.behind.length - a.behind.length))
    if (!chosen.some(({ members }) => members.some((m) => group.members.includes(m)))) chosen.push(group)
  if (chosen.length < 2 || chosen.length > mostGroups) return []
  return [
    {
      inPlace: new Set(inPlace),
      groups: chosen.map(({ members, behind }) => ({
        minutes: members.reduce((sum, k) => sum + (net.minutes[inPlace[k] ?? 0] ?? 0), 0),
        behind: behind.map((task) => ({ task, after: Math.min(...members.map((k) => ways[k]?.[task] ?? 0)) })),
      })),
    },
  ]
}

/** Longest ways from the end of a task to the start of those that have to come after it; -1 for all others. */
function waysFrom(net: Net, task: number): Int32Array {
  const way = new Int32Array(net.size).fill(-1)
  const queue = [task]
  for (let q = 0; q < queue.length; q++) {
    const from = queue[q] ?? 0
    const at = from === task ? -(net.minutes[task] ?? 0) : (way[from] ?? 0)
    for (const { to, lag } of net.out[from] ?? []) {
      if (lag < 0 || to === task || at + lag <= (way[to] ?? 0)) continue
      way[to] = at + lag
      queue.push(to)
    }
  }
  return way
}

/** What must be idle at the beginning, whichever order a place lets the groups through in. */
function idleBehind(
  net: Net,
  gate: Gate | null,
  people: number,
  work: Int32Array,
  head: Int32Array,
  reach: number,
): Int32Array {
  if (gate === null) {
    const all = doneBy(
      net,
      openWork(net, work, head, () => true),
      reach,
    )
    return idleBy(people, reach, (t) => all[t] as number)
  }
  const gated = new Set(gate.groups.flatMap(({ behind }) => behind.map(({ task }) => task)))
  const { groups, inPlace } = gate
  const together = [...inPlace].reduce((most, i) => Math.max(most, (work[i] ?? 0) / (net.minutes[i] ?? 1)), 0)
  // By group and by minutes since the place was done with it: work that can have been done.
  const through = groups.map(({ behind }) => {
    const pace = new Pace(reach)
    for (const { task, after } of behind) {
      const minutes = net.minutes[task] ?? 0
      if (minutes > 0) pace.add(after, minutes, (work[task] ?? 0) / minutes)
    }
    return Int32Array.from(pace.done(), (done) => Math.ceil(done - 1e-6))
  })
  const byGroup = new Int32Array(groups.length * (reach + 1))
  for (const [g, own] of through.entries()) byGroup.set(own, g * (reach + 1))
  const sets = 1 << groups.length
  const busy = Int32Array.from({ length: sets }, (_, set) =>
    groups.reduce((sum, { minutes }, g) => ((set & (1 << g)) === 0 ? sum : sum + minutes), 0),
  )
  const washing = doneBy(
    net,
    openWork(net, work, head, (i) => inPlace.has(i)),
    reach,
  )
  const free = doneBy(
    net,
    openWork(net, work, head, (i) => !gated.has(i) && !inPlace.has(i)),
    reach,
  )
  const best = new Int32Array(sets)
  const ends = through.map((own) => own.at(-1) ?? 0)
  const inAll = ends.reduce((sum, end) => sum + end, 0)
  // Since the place was done with all of them, how long until all of their work can have been done.
  const allDone = through.reduce((most, own, g) => Math.max(most, own.indexOf(ends[g] ?? 0)), 0) + (busy[sets - 1] ?? 0)
  return idleBy(people, reach, (t, idle) => {
    const open = (free[t] as number) + Math.min(washing[t] as number, together * t)
    // Where the work that is free fills the time, no order has to be looked at.
    if (open >= people * t - idle) return open
    if (t >= allDone) return open + inAll
    let most = 0
    for (let set = 1; set < sets; set++) {
      const since = t - (busy[set] as number)
      let value = 0
      if (since >= 0)
        for (let left = set; left !== 0; left &= left - 1) {
          const g = 31 - Math.clz32(left & -left)
          const own = (best[set ^ (1 << g)] as number) + (byGroup[g * (reach + 1) + since] as number)
          if (own > value) value = own
        }
      best[set] = value
      if (value > most) most = value
    }
    return open + most
  })
}
