import { describe, expect, test } from 'vitest'
import { byDegrees, percentileByArea } from './shares.ts'

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
  test('only the triangles that are asked for count', () => {
    expect(percentileByArea(Float64Array.of(1, 1, 1), [1], of, 0.9)).toEqual({ value: 1, triangle: 1 })
  })
})
