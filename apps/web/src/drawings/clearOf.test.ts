import { expect, test } from 'vitest'
import { clearOf } from './clearOf.ts'

test('a figure that covers no number stays where it is', () => {
  expect(clearOf([100, 100], [])).toEqual([100, 100])
  expect(clearOf([100, 100], [[160, 100]])).toEqual([100, 100])
  expect(clearOf([100, 100], [[100, 140]])).toEqual([100, 100])
})

test('one that covers a number is moved off it, to the side on which it is', () => {
  expect(clearOf([110, 100], [[100, 104]])).toEqual([110, 76.5])
  expect(clearOf([110, 100], [[100, 96]])).toEqual([110, 123.5])
})

test('past one number it does not come to cover the next', () => {
  const anchors = [
    [100, 104],
    [104, 80],
  ] as const
  const [x, y] = clearOf([110, 100], anchors)
  expect(x).toBe(110)
  for (const a of anchors) expect(Math.abs(y - a[1])).toBeGreaterThanOrEqual(27)
})

test('where numbers stand in a long row it stays near its place', () => {
  const column = Array.from({ length: 9 }, (_, i) => [100, 104 - 20 * i] as const)
  const [, y] = clearOf([110, 100], column)
  expect(y).toBeGreaterThan(100)
  expect(y).toBeLessThanOrEqual(100 + 3 * 27.5)
})
