import { never } from './day.ts'
import { longestPaths, tailsOf } from './longestPaths.ts'
import { type Net, reversed } from './net.ts'

export interface Exact {
  /** Null: none shorter than asked. */
  readonly start: Int32Array | null
  /** Whether everything was looked at: then there is nothing shorter, or nothing at all. */
  readonly proven: boolean
  readonly nodes: number
}

/** Breaks, holds and people that differ are beyond it. */
export const canBeExact = (net: Net): boolean => net.crew === null && net.holds.length === 0 && net.pauses.length === 0

/**
 * The shortest plan below so many minutes, by branch and bound: at the first minute at which too much is asked of something, a smallest set of the
 * tasks there waits for one that stays (after De Reyck and Herroelen 1998). For about 25 tasks.
 */
export const exact = (net: Net, below: number, goOn: () => boolean): Exact => new Branching(net, below, goOn).run()

interface Branch {
  /** Who waits for whom. */
  readonly arcs: readonly (readonly [before: number, after: number])[]
  readonly start: Int32Array
  readonly tail: Int32Array
  readonly end: number
  readonly pushed: number
}

class Branching {
  private best: Int32Array | null = null
  private nodes = 0
  private stopped = false
  private readonly moreOut: number[][]
  private readonly moreInto: number[][]
  /** By resource and task. */
  private readonly amount: readonly Int16Array[]
  private readonly users: readonly (readonly number[])[]
  private readonly inUse: Int16Array

  constructor(
    private readonly net: Net,
    private end: number,
    private readonly goOn: () => boolean,
  ) {
    const { size, capacity, needs, minutes, horizon } = net
    this.moreOut = Array.from({ length: size }, () => [])
    this.moreInto = Array.from({ length: size }, () => [])
    this.amount = capacity.map((_, r) =>
      Int16Array.from({ length: size }, (_, i) => needs[i]?.find(({ of }) => of === r)?.amount ?? 0),
    )
    this.users = this.amount.map((own) => [...own.keys()].filter((i) => (own[i] ?? 0) > 0 && (minutes[i] ?? 0) > 0))
    this.inUse = new Int16Array(Math.max(horizon, end) + 64)
  }

  run(): Exact {
    const paths = longestPaths(this.net)
    if (paths.ok && paths.start.every((start, i) => start <= (this.net.late[i] ?? never)))
      this.search(paths.start, tailsOf(reversed(this.net)))
    return { start: this.best, proven: !this.stopped, nodes: this.nodes }
  }

  private search(start: Int32Array, tail: Int32Array): void {
    if (this.stopped) return
    if ((++this.nodes & 63) === 0 && !this.goOn()) {
      this.stopped = true
      return
    }
    const clash = this.clashOf(start)
    if (clash === null) {
      let minutes = 0
      for (let i = 0; i < start.length; i++) minutes = Math.max(minutes, (start[i] ?? 0) + (this.net.minutes[i] ?? 0))
      if (minutes < this.end) {
        this.end = minutes
        this.best = start
      }
      return
    }
    if (!this.energyFits(start, tail)) return
    const branches = this.branchesOf(clash, start, tail).sort((a, b) => a.end - b.end || a.pushed - b.pushed)
    for (const branch of branches) {
      if (branch.end >= this.end) continue
      this.add(branch.arcs)
      this.search(branch.start, branch.tail)
      this.remove(branch.arcs)
      if (this.stopped) return
    }
  }

  private branchesOf({ of, at }: { of: number; at: readonly number[] }, start: Int32Array, tail: Int32Array): Branch[] {
    const { minutes, capacity } = this.net
    const amount = this.amount[of] as Int16Array
    const over = at.reduce((sum, i) => sum + (amount[i] ?? 0), 0) - (capacity[of] ?? 0)
    const branches: Branch[] = []
    for (const waiting of smallestSets(at, amount, over))
      for (const stays of at) {
        if (waiting.includes(stays)) continue
        const arcs = waiting.map((i) => [stays, i] as const)
        this.add(arcs)
        const begin = (start[stays] ?? 0) + (minutes[stays] ?? 0)
        const later = this.spread(start, waiting, begin, tail)
        const behind = Math.max(...waiting.map((i) => (minutes[i] ?? 0) + (tail[i] ?? 0)))
        const longer = later === null ? null : this.spreadBack(tail, stays, behind, later)
        this.remove(arcs)
        if (later === null || longer === null) continue
        let end = 0
        let pushed = 0
        for (let i = 0; i < start.length; i++)
          end = Math.max(end, (later[i] ?? 0) + (minutes[i] ?? 0) + (longer[i] ?? 0))
        for (const i of waiting) pushed += (later[i] ?? 0) - (start[i] ?? 0)
        branches.push({ arcs, start: later, tail: longer, end, pushed })
      }
    return branches
  }

  private add(arcs: Branch['arcs']): void {
    for (const [before, after] of arcs) {
      this.moreOut[before]?.push(after)
      this.moreInto[after]?.push(before)
    }
  }

  private remove(arcs: Branch['arcs']): void {
    for (const [before, after] of arcs) {
      this.moreOut[before]?.pop()
      this.moreInto[after]?.pop()
    }
  }

  /** Starts once some begin no earlier than `begin`; null where it takes too long or something is due before. */
  private spread(from: Int32Array, raised: readonly number[], begin: number, tail: Int32Array): Int32Array | null {
    const { out, minutes, late } = this.net
    const start = Int32Array.from(from)
    for (const i of raised) start[i] = Math.max(start[i] ?? 0, begin)
    const queue = [...raised]
    for (let q = 0; q < queue.length; q++) {
      const i = queue[q] as number
      const at = start[i] as number
      if (at + (minutes[i] ?? 0) + (tail[i] ?? 0) >= this.end || at > (late[i] ?? never)) return null
      const lift = (to: number, lag: number) => {
        if (at + lag <= (start[to] ?? 0)) return
        start[to] = at + lag
        queue.push(to)
      }
      for (const { to, lag } of out[i] ?? []) lift(to, lag)
      for (const to of this.moreOut[i] ?? []) lift(to, minutes[i] ?? 0)
    }
    return start
  }

  private spreadBack(from: Int32Array, raised: number, to: number, start: Int32Array): Int32Array | null {
    const { minutes, intoRows } = this.net
    const tail = Int32Array.from(from)
    tail[raised] = Math.max(tail[raised] ?? 0, to)
    const queue = [raised]
    for (let q = 0; q < queue.length; q++) {
      const i = queue[q] as number
      const own = (minutes[i] ?? 0) + (tail[i] ?? 0)
      if ((start[i] ?? 0) + own >= this.end) return null
      const lift = (before: number, lag: number) => {
        const behind = lag - (minutes[before] ?? 0) + own
        if (behind <= (tail[before] ?? 0)) return
        tail[before] = behind
        queue.push(before)
      }
      for (let a = intoRows.first[i] as number; a < (intoRows.first[i + 1] as number); a++)
        lift(intoRows.to[a] as number, intoRows.lag[a] as number)
      for (const before of this.moreInto[i] ?? []) lift(before, minutes[before] ?? 0)
    }
    return tail
  }

  /** Whether all work on each resource has room between its heads and tails. */
  private energyFits(start: Int32Array, tail: Int32Array): boolean {
    const { capacity, minutes } = this.net
    for (let r = 0; r < capacity.length; r++) {
      const amount = this.amount[r] as Int16Array
      const own = [...(this.users[r] ?? [])].sort((a, b) => (tail[b] ?? 0) - (tail[a] ?? 0))
      for (const from of new Set(own.map((i) => start[i] ?? 0))) {
        let work = 0
        for (const i of own) {
          if ((start[i] ?? 0) < from) continue
          work += (amount[i] ?? 0) * (minutes[i] ?? 0)
          if (from + Math.ceil(work / (capacity[r] ?? 1)) + (tail[i] ?? 0) >= this.end) return false
        }
      }
    }
    return true
  }

  /** The first minute at which too much is asked of a resource, and by what. */
  private clashOf(start: Int32Array): { of: number; at: readonly number[] } | null {
    const { capacity, minutes } = this.net
    let when = never
    let of = -1
    for (let r = 0; r < capacity.length; r++) {
      const own = this.users[r] ?? []
      const amount = this.amount[r] as Int16Array
      let from = never
      let to = 0
      for (const i of own) {
        const begin = start[i] as number
        const end = begin + (minutes[i] as number)
        from = Math.min(from, begin)
        to = Math.max(to, end)
        for (let t = begin; t < end; t++) this.inUse[t] = (this.inUse[t] as number) + (amount[i] as number)
      }
      for (let t = from; t < to && t < when; t++)
        if ((this.inUse[t] as number) > (capacity[r] ?? 0)) {
          when = t
          of = r
        }
      if (from < to) this.inUse.fill(0, from, to)
    }
    if (of < 0) return null
    const at = (this.users[of] ?? []).filter(
      (i) => (start[i] ?? 0) <= when && when < (start[i] ?? 0) + (minutes[i] ?? 0),
    )
    return { of, at }
  }
}

/** Sets of which every one is needed so that at the least `over` falls away. */
function smallestSets(at: readonly number[], amount: Int16Array, over: number): number[][] {
  const sets: number[][] = []
  const pick = (k: number, own: readonly number[], sum: number): void => {
    if (sum >= over) {
      if (own.every((i) => sum - (amount[i] ?? 0) < over)) sets.push([...own])
      return
    }
    const next = at[k]
    if (next === undefined) return
    pick(k + 1, [...own, next], sum + (amount[next] ?? 0))
    pick(k + 1, own, sum)
  }
  pick(0, [], 0)
  return sets
}
