import type { Net } from './net.ts'

/** Tasks that are placed as one, at fixed distances: what has to follow within so many minutes. */
export interface Blocks {
  readonly members: readonly (readonly number[])[]
  /** The block of a task. */
  readonly of: Int32Array
  /** How long after the first of its block a task starts, minutes. */
  readonly offset: Int32Array
}

/** What a block takes of the resources, minutes from its first start: rows of resource, from, to, amount; each minute of a resource once. */
export function shapeOf(net: Net, block: readonly number[], offset: Int32Array): Int32Array {
  const [only] = block
  if (only !== undefined && block.length === 1) {
    const lasts = net.minutes[only] ?? 0
    return Int32Array.from(
      lasts === 0 ? [] : (net.needs[only] ?? []).flatMap(({ of, amount }) => [of, 0, lasts, amount]),
    )
  }
  const rows: number[] = []
  for (let r = 0; r < net.capacity.length; r++) {
    const steps = new Map<number, number>()
    for (const task of block) {
      const amount = net.needs[task]?.find(({ of }) => of === r)?.amount ?? 0
      const lasts = net.minutes[task] ?? 0
      if (amount === 0 || lasts === 0) continue
      const from = offset[task] ?? 0
      steps.set(from, (steps.get(from) ?? 0) + amount)
      steps.set(from + lasts, (steps.get(from + lasts) ?? 0) - amount)
    }
    let inUse = 0
    let since = 0
    for (const [at, by] of [...steps].sort((a, b) => a[0] - b[0])) {
      if (by === 0) continue
      if (inUse > 0) rows.push(r, since, at, inUse)
      inUse += by
      since = at
    }
  }
  return Int32Array.from(rows)
}

/** Every task by itself. */
export const single = (size: number): Blocks => ({
  members: Array.from({ length: size }, (_, i) => [i]),
  of: Int32Array.from({ length: size }, (_, i) => i),
  offset: new Int32Array(size),
})
