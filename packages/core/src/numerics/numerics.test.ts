import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import {
  andersonMixer,
  clampSingularValues,
  lastAnswers,
  nestedDissection,
  type SymmetricMatrix,
  seededRandom,
  singularValues2x2,
  sparseCholesky,
} from './index.ts'

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

  test('clamped, they lie in the range, and a matrix already inside is left alone', () => {
    fc.assert(
      fc.property(entry, entry, entry, entry, (a, b, c, d) => {
        const out = new Float64Array(4)
        clampSingularValues(Float64Array.of(a, b, c, d), 0, 0.9, 1.1, 0, out)
        const [larger, smaller] = singularValues2x2(out[0]!, out[1]!, out[2]!, out[3]!)
        expect(larger).toBeLessThanOrEqual(1.1 + 1e-9)
        expect(smaller).toBeGreaterThanOrEqual(0.9 - 1e-9)
        const again = new Float64Array(4)
        clampSingularValues(out, 0, 0.9, 1.1, 0, again)
        for (let i = 0; i < 4; i++) expect(again[i]).toBeCloseTo(out[i]!, 9)
      }),
    )
  })

  test.each([
    [0, 0, 0, 0],
    [1e-160, 0, 0, 1e-160],
    [5e-324, 0, 0, 0],
    [-1, 0, 0, 1],
  ])('even of hardly anything: %d %d %d %d', (a, b, c, d) => {
    const out = new Float64Array(4)
    clampSingularValues(Float64Array.of(a, b, c, d), 0, 0.9, 1.1, 0, out)
    const [larger, smaller] = singularValues2x2(out[0]!, out[1]!, out[2]!, out[3]!)
    expect(larger).toBeLessThanOrEqual(1.1 + 1e-9)
    expect(smaller).toBeGreaterThanOrEqual(0.9 - 1e-9)
  })

  test('pulled all the way they give the nearest rotation', () => {
    const out = new Float64Array(4)
    clampSingularValues(Float64Array.of(2, 0, 0, 0.5), 0, 0, 10, 1, out)
    expect(Array.from(out)).toEqual([1, 0, 0, 1])
  })
})

/** A grid Laplacian plus a little of the unit matrix, with coordinates. */
function gridMatrix(n: number): { matrix: SymmetricMatrix; position: Float64Array } {
  const rows: [number, number][][] = []
  const position = new Float64Array(3 * n * n)
  for (let j = 0; j < n; j++) {
    for (let i = 0; i < n; i++) {
      const v = j * n + i
      position.set([i, j, 0], 3 * v)
      const near = [i > 0 ? v - 1 : -1, i < n - 1 ? v + 1 : -1, j > 0 ? v - n : -1, j < n - 1 ? v + n : -1].filter(
        (w) => w >= 0,
      )
      rows.push([[v, near.length + 0.1], ...near.map((w): [number, number] => [w, -1])])
    }
  }
  const start = new Int32Array(n * n + 1)
  rows.forEach((row, v) => {
    start[v + 1] = start[v]! + row.length
  })
  const flat = rows.flat()
  return {
    matrix: {
      size: n * n,
      start,
      column: Int32Array.from(flat, ([c]) => c),
      value: Float64Array.from(flat, ([, x]) => x),
    },
    position,
  }
}

function times({ size, start, column, value }: SymmetricMatrix, x: Float64Array, offset = 0): Float64Array {
  const y = new Float64Array(size)
  for (let i = 0; i < size; i++)
    for (let p = start[i]!; p < start[i + 1]!; p++) y[i]! += value[p]! * x[offset + column[p]!]!
  return y
}

describe('sparse Cholesky', () => {
  test('nested dissection names every vertex once and saves fill', () => {
    const { matrix, position } = gridMatrix(30)
    const order = nestedDissection(matrix.start, matrix.column, position)
    expect([...order].sort((a, b) => a - b)).toEqual(Array.from({ length: 900 }, (_, i) => i))
    const natural = Int32Array.from({ length: 900 }, (_, i) => i)
    expect(sparseCholesky(matrix, order).nonZeros).toBeLessThan(0.6 * sparseCholesky(matrix, natural).nonZeros)
  })

  test('solves one, two and three right-hand sides', () => {
    const { matrix, position } = gridMatrix(17)
    const factor = sparseCholesky(matrix, nestedDissection(matrix.start, matrix.column, position))
    const chance = seededRandom(7)
    for (const count of [1, 2, 3]) {
      const b = Float64Array.from({ length: count * 289 }, () => chance() - 0.5)
      const x = b.slice()
      factor.solveInPlace(x, count)
      for (let k = 0; k < count; k++)
        times(matrix, x, k * 289).forEach((y, i) => {
          expect(y).toBeCloseTo(b[k * 289 + i]!, 10)
        })
    }
  })

  test('a matrix that is not positive definite is the caller’s mistake', () => {
    const matrix = { size: 1, start: Int32Array.of(0, 1), column: Int32Array.of(0), value: Float64Array.of(-1) }
    expect(() => sparseCholesky(matrix, Int32Array.of(0))).toThrow(RangeError)
  })
})

test('Anderson mixing reaches the fixed point of a linear map much sooner', () => {
  const rates = [0.99, 0.9, 0.5, -0.3]
  const step = (x: Float64Array) => x.map((v, i) => rates[i]! * v + 1)
  const mixer = andersonMixer(4, 4)
  let x = new Float64Array(4)
  for (let k = 0; k < 12; k++) {
    const next = new Float64Array(4)
    mixer.next(x, step(x), next)
    x = next
  }
  rates.forEach((rate, i) => {
    expect(x[i]).toBeCloseTo(1 / (1 - rate), 4)
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
