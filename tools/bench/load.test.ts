import { performance } from 'node:perf_hooks'
import { expect, test } from 'vitest'
import { Load } from './load.ts'

test('what the arithmetic takes is told as a multiple of the quietest that is known', () => {
  const load = new Load(Number.POSITIVE_INFINITY, 50)
  expect(load.leastMs).toBeGreaterThan(0)
  const known = new Load(load.leastMs / 1000, 50)
  expect(known.leastMs).toBe(load.leastMs / 1000)
  expect(known.now()).toBeGreaterThanOrEqual(10)
})

test('a machine that does not become quiet is waited for as long as was said and no longer', async () => {
  const load = new Load(1e-6, 50)
  const began = performance.now()
  expect(await load.quiet(1.2, 300)).toBeGreaterThan(1.2)
  const took = performance.now() - began
  expect(took).toBeGreaterThan(300)
  expect(took).toBeLessThan(60_000)
})
