import fc from 'fast-check'
import { expect, test } from 'vitest'
import { planeThrough } from './index.ts'

const number = (most: number) => fc.double({ min: -most, max: most, noNaN: true })

test('points of a plane, however it lies: its normal, and nothing along it', () => {
  fc.assert(
    fc.property(
      number(1),
      number(1),
      number(500),
      fc.array(fc.tuple(number(300), number(300)), { minLength: 3, maxLength: 27 }),
      (a, b, c, anywhere) => {
        // Three of them lie in no line, whatever the others do.
        const spots = [[-60, -50] as const, [60, -50] as const, [0, 80] as const, ...anywhere]
        const { normal, spread, middle } = planeThrough(spots.map(([x, y]) => [x, y, a * x + b * y + c]))
        expect(middle[2]).toBeCloseTo(a * middle[0] + b * middle[1] + c, 6)
        expect(spread[0]).toBeLessThan(1e-6 * spread[2])
        const long = Math.hypot(a, b, 1)
        expect(Math.abs((normal[0] * -a + normal[1] * -b + normal[2]) / long)).toBeCloseTo(1, 6)
      },
    ),
    { numRuns: 100 },
  )
})

test('points in a line leave it open; what they spread is told from the least on', () => {
  const { spread } = planeThrough([0, 1, 2, 3].map((k) => [10 * k, 20 * k, 5 * k]))
  expect(spread[1]).toBeLessThan(1e-9 * spread[2])
  const box = planeThrough([
    [0, 0, 0],
    [30, 0, 0],
    [0, 20, 0],
    [0, 0, 10],
    [30, 20, 10],
  ])
  expect(box.spread[0]).toBeLessThan(box.spread[1])
  expect(box.spread[1]).toBeLessThan(box.spread[2])
})
