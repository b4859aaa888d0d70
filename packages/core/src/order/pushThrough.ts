import type { Day } from './day.ts'
import type { Placed } from './listDecoder.ts'
import type { Net } from './net.ts'
import type { PlannedBefore } from './planned.ts'

/** Rounds after which times that still rise rise for ever. */
const mostRounds = 400

/**
 * A plan with what has happened since pushed through it: everybody, every tool and every place keeps its tasks in their order, and each begins as
 * early as waits, windows and breaks let it. No search: a few thousand additions. Null where a task is new, where nobody can do it any more, or where
 * the order cannot be kept.
 */
export function pushThrough(net: Net, day: Day, before: Readonly<Record<string, PlannedBefore>>): Placed | null {
  const people = peopleOf(net, day, before)
  if (people === null) return null
  const planned = day.tasks.map(({ id }) => before[id]?.startMinute ?? 0)
  const chained = chainsOf(net, people, planned)
  const start = Int32Array.from(net.early)
  for (let round = 0; round < mostRounds; round++) {
    if (!raise(net, chained, start)) return null
    if (!pastBreaks(net, people, start)) return { start, who: people }
  }
  return null
}

/** Who does each task, by bits: as before where they still can, else who can and has least to do. */
function peopleOf(
  { crew, minutes, needs }: Net,
  day: Day,
  before: Readonly<Record<string, PlannedBefore>>,
): Int32Array | null {
  const index = new Map(day.people.map(({ id }, p) => [id, p]))
  const busy = day.people.map(() => 0)
  const all = day.people.reduce((bits, _, p) => bits | (1 << p), 0)
  const who = new Int32Array(day.tasks.length)
  for (const [i, { id }] of day.tasks.entries()) {
    const was = before[id]
    if (was === undefined) return null
    const able = crew?.able[i] ?? all
    const wanted = needs[i]?.find(({ of }) => of === 0)?.amount ?? 0
    let bits = 0
    let left = wanted
    const take = (p: number) => {
      if (left === 0 || (able & (1 << p)) === 0 || (bits & (1 << p)) !== 0) return
      bits |= 1 << p
      busy[p] = (busy[p] ?? 0) + (minutes[i] ?? 0)
      left--
    }
    for (const person of was.people) take(index.get(person) ?? 31)
    if (left > 0) for (const p of [...busy.keys()].sort((a, b) => (busy[a] ?? 0) - (busy[b] ?? 0))) take(p)
    if (left > 0) return null
    who[i] = bits
  }
  return who
}

/** After which task each one comes that shares hands, a tool or a place with it, and how long after its start. */
function chainsOf(
  net: Net,
  who: Int32Array,
  planned: readonly number[],
): { from: Int32Array; to: Int32Array; lag: Int32Array } {
  const arcs: [from: number, to: number, lag: number][] = []
  const { minutes, needs, holds, capacity, size } = net
  const inOrder = [...planned.keys()].sort(
    (a, b) => (planned[a] ?? 0) - (planned[b] ?? 0) || (minutes[a] ?? 0) - (minutes[b] ?? 0) || a - b,
  )
  for (let p = 0; p < 31; p++) {
    let last = -1
    for (const i of inOrder) {
      if (((who[i] ?? 0) & (1 << p)) === 0) continue
      if (last >= 0) arcs.push([last, i, minutes[last] ?? 0])
      last = i
    }
  }
  // One of a tool is taken from the start of one task to the end of the same, or of another one.
  for (let r = 1; r < capacity.length; r++) {
    const uses: { from: number; to: number }[] = []
    for (let i = 0; i < size; i++)
      for (const { of, amount } of needs[i] ?? [])
        if (of === r) for (let n = 0; n < amount; n++) uses.push({ from: i, to: i })
    for (const { of, from, to } of holds) if (of === r) uses.push({ from, to })
    const place = new Map(inOrder.map((i, k) => [i, k]))
    uses.sort((a, b) => (place.get(a.from) ?? 0) - (place.get(b.from) ?? 0))
    const units: (number | null)[] = new Array(capacity[r] ?? 0).fill(null)
    const freeAt = units.map(() => Number.NEGATIVE_INFINITY)
    for (const { from, to } of uses) {
      const unit = freeAt.indexOf(Math.min(...freeAt))
      const last = units[unit]
      if (last != null && last !== from) arcs.push([last, from, minutes[last] ?? 0])
      units[unit] = to
      freeAt[unit] = (planned[to] ?? 0) + (minutes[to] ?? 0)
    }
  }
  return {
    from: Int32Array.from(arcs, ([from]) => from),
    to: Int32Array.from(arcs, ([, to]) => to),
    lag: Int32Array.from(arcs, ([, , lag]) => lag),
  }
}

/** Raises starts until all waits and chains are kept; false where that never ends. */
function raise(net: Net, chained: ReturnType<typeof chainsOf>, start: Int32Array): boolean {
  const { size } = net
  const { first, to, lag } = net.outRows
  const next: number[][] = Array.from({ length: size }, () => [])
  chained.from.forEach((from, a) => {
    next[from]?.push(a)
  })
  const queue = [...start.keys()].sort((a, b) => (start[a] ?? 0) - (start[b] ?? 0))
  const queued = new Uint8Array(size).fill(1)
  let patience = 60 * size
  const lift = (other: number, at: number) => {
    if ((start[other] ?? 0) >= at) return
    start[other] = at
    if (queued[other] === 0) {
      queued[other] = 1
      queue.push(other)
    }
  }
  for (let q = 0; q < queue.length; q++) {
    if (patience-- < 0) return false
    const task = queue[q] as number
    queued[task] = 0
    const at = start[task] as number
    for (let a = first[task] as number; a < (first[task + 1] as number); a++)
      lift(to[a] as number, at + (lag[a] as number))
    for (const a of next[task] ?? []) lift(chained.to[a] as number, at + (chained.lag[a] as number))
  }
  return true
}

/** Puts what would run into a break of those who do it after that; whether anything was put off. */
function pastBreaks({ crew, pauses, minutes }: Net, who: Int32Array, start: Int32Array): boolean {
  let moved = false
  for (let i = 0; i < start.length; i++) {
    const bits = who[i] ?? 0
    const lasts = minutes[i] ?? 0
    if (bits === 0 || lasts === 0) continue
    const own = crew === null ? pauses : crew.pauses.flatMap((list, p) => ((bits & (1 << p)) === 0 ? [] : list))
    for (const [from, to] of own) {
      const at = start[i] ?? 0
      if (at >= to || at + lasts <= from) continue
      start[i] = to
      moved = true
    }
  }
  return moved
}
