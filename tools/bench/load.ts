import { performance } from 'node:perf_hooks'
import { setTimeout as wait } from 'node:timers/promises'

const size = 1 << 14
const numbers = Float64Array.from({ length: size }, (_, i) => (i * 7919) % 1013)
let kept = 0
/**
 * Always the same arithmetic: what it takes tells how much of the processor the machine's other guests leave. Four sums that do not wait for each other, over
 * numbers here and there in 128 kB: a guest on the same core takes units and cache away, and a chain of dependent steps would not notice.
 */
function arithmetic(): void {
  let [a, b, c, d] = [0, 0, 0, 0]
  for (let pass = 0; pass < 160; pass++)
    for (let i = 0; i < size; i += 4) {
      const at = (i * 40_503) & (size - 1)
      a += (numbers[at] ?? 0) * 1.01
      b += (numbers[i] ?? 0) * (numbers[i + 1] ?? 0)
      c += Math.max(numbers[i + 2] ?? 0, (numbers[at ^ 1] ?? 0) * 0.3)
      d -= (numbers[i + 3] ?? 0) * 0.7
    }
  kept += a + b + c + d
}

/** How loaded the machine is, as what the arithmetic takes on the average of a while to what it took at the quietest. */
export class Load {
  leastMs: number
  readonly #averageMs: number

  /** `leastMs`: what the arithmetic took at the quietest that is known of this machine; infinite when nothing is known. The average is that of so many ms. */
  constructor(leastMs: number, averageMs = 1000) {
    this.leastMs = leastMs
    this.#averageMs = averageMs
    this.now()
  }

  now(): number {
    const began = performance.now()
    let times = 0
    do {
      const start = performance.now()
      arithmetic()
      this.leastMs = Math.min(this.leastMs, performance.now() - start)
      times++
    } while (performance.now() - began < this.#averageMs)
    if (!Number.isFinite(kept)) throw new Error('the arithmetic came to no number')
    return (performance.now() - began) / times / this.leastMs
  }

  /** Waits until the machine is quiet, at most so long; what it is then. */
  async quiet(most: number, patienceMs: number): Promise<number> {
    const until = Date.now() + patienceMs
    for (;;) {
      const now = this.now()
      if (now <= most || Date.now() > until) return now
      await wait(2000)
    }
  }
}
