import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { lastAnswers, seededNormal, seededRandom, singularValues2x2 } from './index.ts'

const entry = fc.double({ min: -5, max: 5, noNaN: true })

describe('singular values of a 2x2 matrix', () => {
  test('their product is the determinant and their squares sum to that of the entries', () => {
    fc.assert(
      fc.property(entry, entry, entry, entry, (a, b, c, d) => {
        const [larger, smaller] = singularValues2x2(a, b, c, d)
        expect(larger * smaller).toBeCloseTo(a * d - b * c, 8)
        expect(larger ** 2 + smaller ** 2).toBeCloseTo(a * a + b * b + c * c + d * d, 8)
        expect(larger).toBeGreaterThanOrEqual(Math.abs(smaller) - 1e-12)
      }),
    )
  })
})

test('the same seed gives the same numbers', () => {
  const [a, b] = [seededRandom(3), seededRandom(3)]
  for (let i = 0; i < 5; i++) expect(a()).toBe(b())
})

test('they are those that mulberry32 gives everywhere', () => {
  const [zero, one] = [seededRandom(0), seededRandom(1)]
  expect([zero(), zero()]).toEqual([0.26642920868471265, 0.0003297457005828619])
  expect([one(), one()]).toEqual([0.6270739405881613, 0.002735721180215478])
})

test('numbers from chance lie about zero with a spread of one, and are the same again', () => {
  const [draw, again] = [seededNormal(seededRandom(5)), seededNormal(seededRandom(5))]
  const drawn = Array.from({ length: 20_000 }, draw)
  const mean = drawn.reduce((sum, x) => sum + x, 0) / drawn.length
  const spread = Math.sqrt(drawn.reduce((sum, x) => sum + (x - mean) ** 2, 0) / drawn.length)
  // Four standard errors of each.
  expect(Math.abs(mean)).toBeLessThan(4 / Math.sqrt(drawn.length))
  expect(Math.abs(spread - 1)).toBeLessThan(4 / Math.sqrt(2 * drawn.length))
  expect(drawn.slice(0, 5)).toEqual(Array.from({ length: 5 }, again))
})

test('unless told otherwise the last four answers are kept', () => {
  const asked: number[] = []
  const known = lastAnswers(String, (n: number) => asked.push(n))
  for (const n of [1, 2, 3, 4, 1, 5, 2, 1]) known(n)
  // One gave way to five; two had not.
  expect(asked).toEqual([1, 2, 3, 4, 5, 1])
})

test('the last answers are kept under their key, the oldest goes first, and nothing is worked out twice', () => {
  const asked: number[] = []
  const square = lastAnswers(
    (n: number) => String(n),
    (n) => {
      asked.push(n)
      return n * n
    },
    2,
  )
  expect([3, 3, 4, 3, 5, 4].map(square)).toEqual([9, 9, 16, 9, 25, 16])
  expect(asked).toEqual([3, 4, 5])
  // Three was the oldest when five came.
  expect(square(3)).toBe(9)
  expect(asked).toEqual([3, 4, 5, 3])
})
