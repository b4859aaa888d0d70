import { expect, test } from 'vitest'
import { signedArea, type Vec2 } from '../geometry/index.ts'
import { outlineOfRim } from './outlineOfRim.ts'

const square: Vec2[] = [
  [0, 0],
  [200, 0],
  [200, 100],
  [0, 100],
]
const around = (rim: readonly Vec2[]) => outlineOfRim(rim).outline.map(({ to }) => to)

test('a rim is gone round counter-clockwise, whichever way it was read', () => {
  for (const rim of [square, [...square].reverse()]) {
    expect(signedArea(around(rim))).toBe(20_000)
    expect(new Set(around(rim).map(String))).toEqual(new Set(square.map(String)))
  }
})

test('an edge runs from corner to corner, also through points on the way, and begins at a corner', () => {
  const circleTop: Vec2[] = Array.from({ length: 31 }, (_, i) => {
    const turn = (Math.PI * i) / 30
    return [100 + 100 * Math.cos(turn), 100 + 100 * Math.sin(turn)]
  })
  const { start, outline, edges } = outlineOfRim([[0, 0], [200, 0], ...circleTop])
  expect(edges.map(({ name }) => name)).toEqual(['edge 1', 'edge 2'])
  expect([
    [0, 0],
    [200, 0],
  ]).toContainEqual(start)
  // The sides of the arch run into the half circle without a corner: floor, and all the rest.
  expect(new Set(outline.map(({ edge }) => edge)).size).toBe(2)
})
