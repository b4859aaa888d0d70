import type { Day } from './day.ts'
import type { Net } from './net.ts'
import type { Placed } from './listDecoder.ts'

/**
 * Who does each task, by index of the person. Where people do not differ anybody who is free will do: first those who had it in the plan before, then those who did what it follows,
 * then who has been free the longest.
 */
export function whoDoes(day: Day, net: Net, { start, who }: Placed): number[][] {
  const people = day.people.map((_, p) => p)
  if (net.crew !== null) return [...who].map((bits) => people.filter((p) => (bits & (1 << p)) !== 0))
  const order = [...start.keys()].sort(
    (a, b) => (start[a] ?? 0) - (start[b] ?? 0) || (net.minutes[a] ?? 0) - (net.minutes[b] ?? 0),
  )
  const freeAt = people.map(() => 0)
  const done: number[][] = day.tasks.map(() => [])
  const index = new Map(day.tasks.map(({ id }, i) => [id, i]))
  for (const i of order) {
    const at = start[i] ?? 0
    const before = new Set((day.tasks[i]?.after ?? []).flatMap(({ task }) => done[index.get(task) ?? -1] ?? []))
    const wished = net.wished?.[i] ?? 0
    const known = (p: number) => 2 * Number((wished & (1 << p)) !== 0) + Number(before.has(p))
    const own = people
      .filter((p) => (freeAt[p] ?? 0) <= at)
      .sort((a, b) => known(b) - known(a) || (freeAt[a] ?? 0) - (freeAt[b] ?? 0))
      .slice(0, day.tasks[i]?.people ?? 0)
    for (const p of own) freeAt[p] = Math.max(freeAt[p] ?? 0, at + (net.minutes[i] ?? 0))
    done[i] = own
  }
  return done
}
