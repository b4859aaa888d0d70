import { describe, expect, test } from 'vitest'
import { seededRandom } from '../numerics/index.ts'
import { byDegrees, meanOfMost, percentileByArea } from './shares.ts'

describe('by degrees', () => {
  test.each([
    [0, 0],
    [1, 0],
    [1.5, 0.25],
    [2, 0.5],
    [3, 1],
    [9, 1],
  ])('%d between 1 and 3 counts %d', (value, counts) => expect(byDegrees(value, 1, 3)).toBe(counts))
  test('without any room between it is a threshold', () => {
    expect(byDegrees(0.99, 1, 1)).toBe(0)
    expect(byDegrees(1.01, 1, 1)).toBe(1)
  })
})

describe('a percentile by area', () => {
  const figures = [5, 1, 3]
  const of = (triangle: number) => figures[triangle]!
  test('of equal triangles is that of the one which holds the share', () => {
    const area = Float64Array.of(1, 1, 1)
    expect(percentileByArea(area, [0, 1, 2], of, 0.5)).toEqual({ value: 3, triangle: 2 })
    expect(percentileByArea(area, [0, 1, 2], of, 0).value).toBe(1)
    expect(percentileByArea(area, [0, 1, 2], of, 1).value).toBe(5)
    expect(percentileByArea(area, [0, 1, 2], of, 0.3).value).toBe(1)
    expect(percentileByArea(area, [0, 1, 2], of, 0.35).value).toBe(3)
  })
  test('does not change when a triangle is cut in two', () => {
    const whole = percentileByArea(Float64Array.of(2, 8, 6), [0, 1, 2], of, 0.5).value
    const cut = percentileByArea(Float64Array.of(2, 8, 6, 3, 3), [0, 1, 3, 4], (t) => of(Math.min(t, 2)), 0.5).value
    expect(cut).toBe(whole)
  })
  test('a small triangle does not decide', () => {
    const area = Float64Array.of(0.001, 100, 100)
    expect(percentileByArea(area, [0, 1, 2], of, 0.995).value).toBe(3)
  })
  test('is the one that is found by putting all in order, where many are alike too', () => {
    const random = seededRandom(4)
    for (const count of [1, 2, 3, 10, 200]) {
      const area = Float64Array.from({ length: count }, () => 0.1 + random())
      const figure = Float64Array.from(area, () => Math.floor(8 * random()))
      const all = [...area.keys()]
      for (const share of [0, 0.05, 0.4, 0.95, 1]) {
        const goal = share * area.reduce((sum, a) => sum + a, 0) - 1e-9
        const inOrder = [...all].sort((a, b) => figure[a]! - figure[b]!)
        const areaUpTo = (place: number) => inOrder.slice(0, place + 1).reduce((sum, t) => sum + area[t]!, 0)
        const last = inOrder.find((_, place) => areaUpTo(place) >= goal)!
        const { value, triangle } = percentileByArea(area, all, (t) => figure[t]!, share)
        expect(value).toBe(figure[last])
        expect(figure[triangle]).toBe(value)
      }
    }
  })
  test('only the triangles that are asked for count', () => {
    expect(percentileByArea(Float64Array.of(1, 1, 1), [1], of, 0.9)).toEqual({ value: 1, triangle: 1 })
  })
})

describe('the mean of what has most', () => {
  const hundred = Array.from({ length: 100 }, (_, t) => t)
  const alike = new Float64Array(100).fill(3)
  test.each([
    [0.01, 99],
    [0.1, 94.5],
    [0.015, (99 + 98 / 2) / 1.5],
    [1, 49.5],
  ])('over %d of a hundred that have 0 to 99 is %d', (share, mean) =>
    expect(meanOfMost(alike, hundred, (t) => t, share).value).toBeCloseTo(mean, 9),
  )
  test('names the triangle that has most', () => {
    expect(meanOfMost(alike, hundred, (t) => (t === 17 ? 300 : t), 0.5).triangle).toBe(17)
    expect(meanOfMost(alike, [4, 9, 6], (t) => t, 0.1)).toEqual({ value: 9, triangle: 9 })
  })
  test('does not change when a triangle is cut in two', () => {
    const of = (t: number) => [5, 1, 3][t]!
    const whole = meanOfMost(Float64Array.of(2, 8, 6), [0, 1, 2], of, 0.3).value
    const cut = meanOfMost(Float64Array.of(2, 8, 6, 2, 4), [0, 1, 3, 4], (t) => of(Math.min(t, 2)), 0.3).value
    expect(cut).toBeCloseTo(whole, 12)
  })
  test.each([0.01, 0.03, 0.2])(
    'lies between the percentile at whose place its share of %d begins and the most',
    (share) => {
      const figure = (t: number) => Math.sin(37 * t) ** 2
      const area = Float64Array.from(hundred, (t) => 1 + Math.cos(11 * t) ** 2)
      const { value, triangle } = meanOfMost(area, hundred, figure, share)
      expect(value).toBeLessThanOrEqual(figure(triangle))
      expect(value).toBeGreaterThanOrEqual(percentileByArea(area, hundred, figure, 1 - share).value)
    },
  )
})
