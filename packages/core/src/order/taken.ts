import { never } from './day.ts'
import type { Net } from './net.ts'

/** Who has been free for longer is as good as any other, minutes. */
const mostIdle = 30
/** More than tasks or minutes of idleness, so that ranks do not run into each other. */
const mostTasks = 100_000

/** Which minutes of tools and people are taken by what has been placed: counted, and by name where people differ. */
export class Taken {
  private readonly used: readonly Int16Array[]
  private readonly busy: readonly Uint8Array[]
  /** For each person and minute in a break, when that break is over; 0 outside. */
  private readonly over: readonly Int32Array[]
  /** Who does a task, a bit for each. */
  readonly who: Int32Array
  private readonly start: Int32Array
  /** Holds that begin with a task, and those that begin or end with it. */
  private readonly begins: readonly (readonly number[])[]
  private readonly holdsAt: readonly (readonly number[])[]
  /** How far rows have been written, minutes. */
  private reach = 0
  /** Holds that have begun and not ended. */
  open = 0

  constructor(private readonly net: Net) {
    const { capacity, horizon, crew, size, holds } = net
    this.used = capacity.map(() => new Int16Array(horizon))
    this.busy = crew === null ? [] : crew.pauses.map(() => new Uint8Array(horizon))
    this.over = (crew?.pauses ?? []).map((own) => {
      const ends = new Int32Array(horizon)
      for (const [from, to] of own)
        for (let t = from; t < Math.min(to, horizon); t++) ends[t] = Math.max(ends[t] ?? 0, to)
      return ends
    })
    this.who = new Int32Array(size)
    this.start = new Int32Array(size)
    const of = (end: 'from' | 'to') =>
      Array.from({ length: size }, (_, i) => holds.flatMap((hold, h) => (hold[end] === i ? [h] : [])))
    this.begins = holds.length === 0 ? [] : of('from')
    const ends = of('to')
    this.holdsAt = holds.length === 0 ? [] : this.begins.map((own, i) => [...own, ...(ends[i] ?? [])])
    this.clear()
  }

  clear(): void {
    const { capacity, pauses, crew } = this.net
    for (const row of this.used) row.fill(0, 0, this.reach)
    for (const row of this.busy) row.fill(0)
    this.reach = 0
    this.who.fill(0)
    this.start.fill(-1)
    this.open = 0
    const people = this.used[0]
    for (const [from, to] of pauses) {
      people?.fill(capacity[0] ?? 0, from, to)
      this.reach = Math.max(this.reach, to)
    }
    crew?.pauses.forEach((own, p) => {
      for (const [from, to] of own) this.busy[p]?.fill(1, from, to)
    })
  }

  /** The first start at or after `from` at which everything that a task needs is free; the hands that began it are not waited for beyond `latest`. */
  fits(task: number, from: number, latest = never): number {
    const { minutes, needs, capacity, crew, horizon } = this.net
    const lasts = minutes[task] ?? 0
    const own = needs[task] ?? []
    const holds = this.begins[task] ?? []
    let start = from
    for (;;) {
      if (start > horizon - lasts - 1) return never
      let clash = -1
      for (let k = 0; k < own.length && lasts > 0; k++) {
        const { of, amount } = own[k] as { of: number; amount: number }
        if (of === 0 && crew !== null) continue
        const row = this.used[of] as Int16Array
        const most = (capacity[of] as number) - amount
        for (let t = start + lasts - 1; t > clash && t >= start; t--)
          if ((row[t] as number) > most) {
            clash = t
            break
          }
      }
      for (const h of holds) clash = Math.max(clash, this.clashOfHold(h, start))
      if (clash >= 0) {
        start = clash + 1
        continue
      }
      if (crew === null || lasts === 0) return start
      const free = this.freeFrom(task, start, latest)
      if (free === start) return start
      start = free
    }
  }

  /** The first start at or after `from` at which a shape (see `shapeOf`) fits; of tasks without holds, where people need not be told apart. */
  fitsShape(shape: Int32Array, from: number): number {
    const { capacity, horizon } = this.net
    let start = from
    for (let k = 0; k < shape.length; ) {
      const row = this.used[shape[k] as number] as Int16Array
      const first = start + (shape[k + 1] as number)
      const most = (capacity[shape[k] as number] as number) - (shape[k + 3] as number)
      let t = start + (shape[k + 2] as number) - 1
      if (t >= horizon) return never
      while (t >= first && (row[t] as number) <= most) t--
      if (t < first) k += 4
      else {
        // From the clash on past everything that is as full.
        while (t + 1 < horizon && (row[t + 1] as number) > most) t++
        start = t + 1 - (shape[k + 1] as number)
        k = 0
      }
    }
    return start
  }

  /** Takes what a task needs; by name who is given, or whoever is best for it. */
  put(task: number, start: number, by?: number): void {
    const { minutes, needs, crew } = this.net
    const end = start + (minutes[task] ?? 0)
    for (const { of, amount } of needs[task] ?? []) {
      if (of === 0 && crew !== null && by !== undefined) this.nameThese(task, start, end, by)
      else if (of === 0 && crew !== null) this.name(task, start, end, amount)
      else this.add(of, start, end, amount)
    }
    this.move(task, start)
  }

  takeBack(task: number): void {
    const { minutes, needs, crew } = this.net
    const start = this.start[task] ?? -1
    const end = start + (minutes[task] ?? 0)
    for (const { of, amount } of needs[task] ?? []) {
      if (of === 0 && crew !== null) this.unname(task, start, end)
      else this.add(of, start, end, -amount)
    }
    this.move(task, -1)
  }

  private add(of: number, from: number, to: number, amount: number): void {
    const row = this.used[of] as Int16Array
    if (to > this.reach) this.reach = to
    for (let t = from; t < to; t++) row[t] = (row[t] as number) + amount
  }

  /** Takes up where a task is now; its holds begin, end, or go on to the end of time. */
  private move(task: number, start: number): void {
    const holds = this.holdsAt[task]
    if (holds === undefined) {
      this.start[task] = start
      return
    }
    for (const h of holds) this.hold(h, -1)
    this.start[task] = start
    for (const h of holds) this.hold(h, 1)
  }

  private hold(h: number, sign: 1 | -1): void {
    const hold = this.net.holds[h]
    if (hold === undefined || (this.start[hold.from] ?? -1) < 0) return
    const closed = (this.start[hold.to] ?? -1) >= 0
    if (!closed) this.open += sign
    this.add(hold.of, this.start[hold.from] ?? 0, this.endOf(h), sign)
  }

  private endOf(h: number): number {
    const to = this.net.holds[h]?.to ?? 0
    const start = this.start[to] ?? -1
    return start < 0 ? this.net.horizon : start + (this.net.minutes[to] ?? 0)
  }

  private clashOfHold(h: number, start: number): number {
    const { holds, capacity } = this.net
    const of = holds[h]?.of ?? 0
    const row = this.used[of] as Int16Array
    const most = (capacity[of] ?? 0) - 1
    for (let t = this.endOf(h) - 1; t >= start; t--) if ((row[t] as number) > most) return t
    return -1
  }

  /** When enough people who can do a task are next free for all of it: one of the hands that began it where that is not too late. */
  private freeFrom(task: number, from: number, latest: number): number {
    const { crew, minutes, horizon } = this.net
    const amount = this.net.needs[task]?.find(({ of }) => of === 0)?.amount ?? 0
    if (crew === null || amount === 0) return from
    const lasts = minutes[task] ?? 0
    const owners = this.ownersOf(task)
    const free: number[] = []
    let own = never
    this.busy.forEach((row, p) => {
      if (((crew.able[task] ?? 0) & (1 << p)) === 0) return
      let start = from
      const over = this.over[p] as Int32Array
      for (let t = start + lasts - 1; t >= start && start <= horizon; t--)
        if (row[t] === 1) {
          start = Math.max(t + 1, over[t] as number)
          t = start + lasts
        }
      free.push(start)
      if ((owners & (1 << p)) !== 0 && start < own) own = start
    })
    free.sort((a, b) => a - b)
    const any = free[amount - 1] ?? never
    return own > any && own <= latest && own < never && own - any <= crew.handOver ? own : any
  }

  /** Who has done anything yet of what a task belongs to, by bits. */
  private ownersOf(task: number): number {
    const { crew } = this.net
    let bits = crew?.begun[task] ?? 0
    for (const other of crew?.together[task] ?? []) if (other !== task) bits |= this.who[other] ?? 0
    return bits
  }

  /** Takes the hands that began it, those who had it in the plan before, or did what it follows, then those who can do least else; of equal ones those who have just ended something. */
  private name(task: number, start: number, end: number, amount: number): void {
    const { crew } = this.net
    if (crew === null) return
    const wished = this.net.wished?.[task] ?? 0
    const before = this.whoBefore(task)
    const owners = this.ownersOf(task)
    const able = crew.able[task] ?? 0
    let bits = 0
    for (let left = amount; left > 0; left--) {
      let best = -1
      let least = Number.POSITIVE_INFINITY
      for (let p = 0; p < this.busy.length; p++) {
        const bit = 1 << p
        if ((able & bit) === 0 || (bits & bit) !== 0) continue
        const row = this.busy[p] as Uint8Array
        if (!isFree(row, start, end)) continue
        const strange =
          4 * Number((owners & bit) === 0) + 2 * Number((wished & bit) === 0) + Number((before & bit) === 0)
        const rank = (strange * mostTasks + (crew.use[p] ?? 0)) * mostTasks + idleBefore(row, start)
        if (rank >= least) continue
        least = rank
        best = p
      }
      if (best < 0) break
      bits |= 1 << best
      this.busy[best]?.fill(1, start, end)
    }
    this.who[task] = bits
  }

  private nameThese(task: number, start: number, end: number, bits: number): void {
    this.busy.forEach((row, p) => {
      if ((bits & (1 << p)) !== 0) row.fill(1, start, end)
    })
    this.who[task] = bits
  }

  private whoBefore(task: number): number {
    const { first, to, lag } = this.net.intoRows
    let bits = 0
    for (let a = first[task] ?? 0; a < (first[task + 1] ?? 0); a++)
      if ((lag[a] ?? 0) > 0) bits |= this.who[to[a] ?? 0] ?? 0
    return bits
  }

  private unname(task: number, start: number, end: number): void {
    const bits = this.who[task] ?? 0
    this.busy.forEach((row, p) => {
      if ((bits & (1 << p)) !== 0) row.fill(0, start, end)
    })
    this.who[task] = 0
  }
}

function isFree(row: Uint8Array, from: number, to: number): boolean {
  for (let t = from; t < to; t++) if (row[t] === 1) return false
  return true
}

/** How long somebody has had nothing to do before a minute. */
function idleBefore(row: Uint8Array, minute: number): number {
  let idle = 0
  while (idle < mostIdle && idle < minute && row[minute - idle - 1] === 0) idle++
  return idle
}
