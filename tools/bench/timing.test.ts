import { performance } from 'node:perf_hooks'
import { afterEach, beforeEach, expect, test, vi } from 'vitest'
import { bestOf, ms } from './timing.ts'

let nowMs = 0
beforeEach(() => {
  nowMs = 0
  vi.spyOn(performance, 'now').mockImplementation(() => nowMs)
})
afterEach(() => {
  vi.restoreAllMocks()
})

test('short work is done over and over for a second, and the least is told', () => {
  let runs = 0
  const best = bestOf(3, () => {
    runs++
    nowMs += runs === 5 ? 40 : 100
  })
  expect(best).toBe(40)
  expect(runs).toBe(11)
})

test('long work is done as often as was asked', () => {
  let runs = 0
  bestOf(2, () => {
    runs++
    nowMs += 1600
  })
  expect(runs).toBe(2)
})

test('tenths below ten milliseconds only', () => {
  expect([ms(0.04), ms(9.94), ms(9.96), ms(12.4), ms(1234.5)]).toEqual(['0.0', '9.9', '10', '12', '1235'])
})
