import { performance } from 'node:perf_hooks'

/** Short work is done over and over for so long, ms: a shared machine has good moments and bad ones. */
const enoughMs = 1000

/** The least of a few runs, ms: what the work takes when nothing disturbs it. */
export function bestOf(runs: number, work: () => void): number {
  const began = performance.now()
  let best = Number.POSITIVE_INFINITY
  for (let i = 0; i < runs || performance.now() - began < enoughMs; i++) {
    const start = performance.now()
    work()
    best = Math.min(best, performance.now() - start)
  }
  return best
}

/** Milliseconds as the tables show them. */
export const ms = (value: number) => (value < 9.95 ? value.toFixed(1) : String(Math.round(value)))
