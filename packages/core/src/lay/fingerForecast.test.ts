import { describe, expect, test } from 'vitest'
import type { PartSurface } from '../form/index.ts'
import type { Vec2 } from '../geometry/index.ts'
import { fingerForecast, rimExcess } from './fingerForecast.ts'

const [longMm, highMm] = [600, 200]

/** Where film lies that is longer than the part by a share of it between two places of the bottom edge. */
const longerBetween = (from: number, to: number, share: number) => (x: number) =>
  x + share * (Math.min(Math.max(x, from), to) - from)

/** A flat plate whose bottom edge is cut into sides at some places, with film on it that is moved along that edge. */
function plate(cutsMm: readonly number[], filmAt: (x: number) => number): { surface: PartSurface; flat: Float64Array } {
  const rim: Vec2[] = [[0, 0], ...cutsMm.map((x): Vec2 => [x, 0]), [longMm, 0], [longMm, highMm], [0, highMm]]
  const surface = {
    mesh: { position: Float64Array.from(rim.flatMap(([x, y]) => [x, y, 0])), triangle: Int32Array.of(0, 1, 2) },
    plan: Float64Array.from(rim.flat()),
    loops: [Int32Array.from(rim.keys())],
    outline: {
      polygon: [
        [0, 0],
        [longMm, 0],
        [longMm, highMm],
        [0, highMm],
      ],
      edgeOfSide: ['bottom', 'right', 'top', 'left'],
    },
  } as unknown as PartSurface
  return { surface, flat: Float64Array.from(rim.flatMap(([x, y]) => [y === 0 ? filmAt(x) : x, y])) }
}

const everyMm = (side: number) =>
  Array.from({ length: Math.ceil(longMm / side) - 1 }, (_, i) => Math.min((i + 1) * side, longMm - 1))

const bottom = (cutsMm: readonly number[], filmAt: (x: number) => number, take = 0) => {
  const { surface, flat } = plate(cutsMm, filmAt)
  return fingerForecast(surface, { flat }, take).find(({ edge }) => edge === 'bottom')!
}

describe('film left over at one place of an edge', () => {
  // 40 mm of the edge have 3 % too much: 1.2 mm, which lie within 100 mm however the edge is cut.
  const filmAt = longerBetween(280, 320, 0.03)
  test.each([5, 10, 20, 40])('is as much with sides of %i mm', (side) =>
    expect(bottom(everyMm(side), filmAt).excessMmPer100).toBeCloseTo(1.2, 6),
  )
  test.each([
    ['33 mm', [250, 280, 313, 346, 380]],
    ['37 mm', [206, 243, 280, 317, 354]],
    ['uneven ones', [100, 281, 284, 299, 321, 371, 380]],
  ])('is as much with sides of %s', (_, cuts) =>
    expect(
      bottom(
        [...cuts, 280, 320].sort((a, b) => a - b),
        filmAt,
      ).excessMmPer100,
    ).toBeCloseTo(1.2, 6),
  )
  test('is told where it lies', () => expect(bottom(everyMm(20), filmAt).worstAt[0]).toBeCloseTo(300, -2))
  test('is less by what the film takes up', () =>
    expect(bottom(everyMm(10), filmAt, 0.004).excessMmPer100).toBeCloseTo(101.2 * 0.996 - 100, 6))
})

test('film that is too long all along has as much everywhere, and at corners', () => {
  const { surface, flat } = plate(everyMm(33), longerBetween(0, longMm, 0.01))
  const along = rimExcess(surface, { flat }, 0).filter(({ edge }) => edge === 'bottom')
  expect(along.length).toBeGreaterThan(15)
  for (const { excessMmPer100 } of along) expect(excessMmPer100).toBeCloseTo(1, 6)
})
test('at a corner what the edge lacks one way is taken the other way', () => {
  expect(bottom(everyMm(10), longerBetween(0, 40, 0.03)).excessMmPer100).toBeCloseTo(1.2, 6)
  expect(bottom(everyMm(10), longerBetween(longMm - 40, longMm, 0.03)).excessMmPer100).toBeCloseTo(1.2, 6)
})
test('a side that is longer than that is judged by itself', () =>
  expect(bottom([150, 450], longerBetween(150, 450, 0.02)).excessMmPer100).toBeCloseTo(2, 6))
test('no film is left over where it is too short', () =>
  expect(bottom(everyMm(20), longerBetween(280, 320, -0.03)).excessMmPer100).toBe(0))
