import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { lastAnswers, seededRandom, singularValues2x2 } from './index.ts'

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
