import { expect, test } from 'vitest'
import { clearOf, eachClearOf } from './clearOf.ts'

test('a figure that covers no number stays where it is', () => {
  expect(clearOf([100, 100], [])).toEqual([100, 100])
  expect(clearOf([100, 100], [[160, 100]])).toEqual([100, 100])
  expect(clearOf([100, 100], [[100, 140]])).toEqual([100, 100])
})

test.each([
  ['above it', [110, 100], [100, 104], [110, 76.5]],
  ['below it', [110, 100], [100, 96], [110, 123.5]],
  ['to its left', [80, 100], [110, 101], [71.5, 100]],
  ['to its right', [140, 100], [110, 101], [148.5, 100]],
] as const)('one that covers a number is moved the shortest way off it: %s', (_, at, anchor, clear) =>
  expect(clearOf(at, [anchor])).toEqual(clear),
)

test('past one number it does not come to cover the next', () => {
  const anchors = [
    [100, 104],
    [100, 80],
    [72, 100],
  ] as const
  const [x, y] = clearOf([100, 100], anchors)
  expect([x, y]).not.toEqual([100, 100])
  for (const a of anchors) expect(Math.abs(x - a[0]) >= 38 || Math.abs(y - a[1]) >= 27).toBe(true)
})

test('where numbers stand all round it stays where it belongs', () => {
  const crowd = Array.from({ length: 11 * 11 }, (_, i) => [20 * (i % 11), 20 * Math.floor(i / 11)] as const)
  expect(clearOf([101, 102], crowd)).toEqual([101, 102])
})

test('figures that belong close together cover neither each other nor a number; the first stays where it belongs', () => {
  const numbers = [[130, 100]] as const
  const clear = eachClearOf(
    [
      [100, 140],
      [104, 143],
      [98, 138],
      [140, 104],
    ],
    numbers,
  )
  expect(clear[0]).toEqual([100, 140])
  const all = [...clear, ...numbers]
  for (const [i, a] of all.entries())
    for (const b of all.slice(i + 1)) expect(Math.abs(a[0] - b[0]) >= 38 || Math.abs(a[1] - b[1]) >= 27).toBe(true)
})

test('a figure that covers nothing does not move for one that comes after it', () => {
  const figures = [
    [10, 10],
    [200, 10],
  ] as const
  expect(eachClearOf(figures, [])).toEqual(figures)
})
