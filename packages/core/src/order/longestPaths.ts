import type { Net } from './net.ts'

/** Earliest starts by waits and windows alone, minutes; or the tasks of a circle of waits that no times can keep. */
export type Paths =
  | { readonly ok: true; readonly start: Int32Array }
  | { readonly ok: false; readonly circle: readonly number[] }

/**
 * Longest paths by labels that are put right until nothing rises any more (Bellman 1958, Ford 1956, with a queue). A label that was raised by
 * more arcs in a row than there are tasks lies behind a circle of a positive length.
 */
export function longestPaths(net: Pick<Net, 'size' | 'out' | 'early'>): Paths {
  const { size, out, early } = net
  const start = Int32Array.from(early)
  const raisedBy = new Int32Array(size).fill(-1)
  const deep = new Int32Array(size)
  const queued = new Uint8Array(size).fill(1)
  const queue = Array.from({ length: size }, (_, i) => i)
  for (let q = 0; q < queue.length; q++) {
    const from = queue[q] ?? 0
    queued[from] = 0
    for (const { to, lag } of out[from] ?? []) {
      const at = (start[from] ?? 0) + lag
      if (at <= (start[to] ?? 0)) continue
      start[to] = at
      raisedBy[to] = from
      deep[to] = (deep[from] ?? 0) + 1
      if ((deep[to] ?? 0) > size) return { ok: false, circle: circleBehind(to, raisedBy) }
      if (queued[to] === 0) {
        queued[to] = 1
        queue.push(to)
      }
    }
  }
  return { ok: true, start }
}

function circleBehind(task: number, raisedBy: Int32Array): number[] {
  let inside = task
  for (let i = 0; i < raisedBy.length; i++) inside = raisedBy[inside] ?? inside
  const circle = [inside]
  for (let i = raisedBy[inside] ?? inside; i !== inside; i = raisedBy[i] ?? inside) circle.push(i)
  return circle.reverse()
}

/** From the end of every task the longest way to the end of all, minutes; of a day without a circle. */
export function tailsOf(back: Net): Int32Array {
  const paths = longestPaths(back)
  return paths.ok ? paths.start : new Int32Array(back.size)
}
