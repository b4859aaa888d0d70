import { describe, expect, test } from 'vitest'
import type { Vec2 } from '../geometry/index.ts'
import { seededRandom } from '../numerics/index.ts'
import { inCamera, type Lens, seenAt, turnedBy, type Vec3 } from './camera.ts'

const inner = { focalPx: 1000, middlePx: [640, 480] } as const
const turned = ([x, y]: Vec2, rad: number): Vec2 => [
  x * Math.cos(rad) - y * Math.sin(rad),
  x * Math.sin(rad) + y * Math.cos(rad),
]
/** Where a lens moves a spot from where a lens without faults shows it, in focal lengths. */
const moved = (lens: Lens, [u, v]: Vec2): Vec2 => {
  const [x, y] = seenAt(lens, inner, [u, v, 1])
  return [(x - inner.middlePx[0]) / inner.focalPx - u, (y - inner.middlePx[1]) / inner.focalPx - v]
}
/** A lens that leans in a direction. */
const leaning = ([x, y]: Vec2): Lens => ({ radial: [0, 0, 0], tangential: [y, x] })
const length = ([x, y]: Vec2) => Math.hypot(x, y)

describe('a lens', () => {
  test('that is round moves every spot along its own ray, as far in every direction', () => {
    const lens: Lens = { radial: [-0.2, 0.05, -0.01], tangential: [0, 0] }
    const [right] = moved(lens, [0.4, 0])
    expect(right).toBeCloseTo(0.4 * (-0.2 * 0.4 ** 2 + 0.05 * 0.4 ** 4 - 0.01 * 0.4 ** 6), 12)
    for (const rad of [0.3, 1.2, 2.5, 4]) {
      const [x, y] = turned(moved(lens, turned([0.4, 0], rad)), -rad)
      expect(x).toBeCloseTo(right, 12)
      expect(y).toBeCloseTo(0, 12)
    }
  })
  test('that leans moves spots along its lean three times as far as those square to it, and all towards it', () => {
    const lens = leaning([0.01, 0])
    expect(moved(lens, [0.3, 0])[0]).toBeCloseTo(3 * 0.01 * 0.3 ** 2, 12)
    expect(moved(lens, [0, 0.3])[0]).toBeCloseTo(0.01 * 0.3 ** 2, 12)
    expect(moved(lens, [0, 0.3])[1]).toBeCloseTo(0, 12)
  })
  test('turned with what it sees shows the same, turned', () => {
    const chance = seededRandom(5)
    const within = (most: number): Vec2 => [most * (2 * chance() - 1), most * (2 * chance() - 1)]
    for (let i = 0; i < 40; i++) {
      const [lean, spot, rad] = [within(0.02), within(0.5), 6.28 * chance()]
      const [x, y] = turned(moved(leaning(lean), spot), rad)
      const [tx, ty] = moved(leaning(turned(lean, rad)), turned(spot, rad))
      expect(length([tx - x, ty - y])).toBeLessThan(1e-12)
    }
  })
})

describe('a turn', () => {
  test('keeps lengths, leaves its axis, and is undone by the turn back', () => {
    const chance = seededRandom(9)
    const some = (most: number): Vec3 => [0, 1, 2].map(() => most * (2 * chance() - 1)) as unknown as Vec3
    for (const most of [1e-12, 1e-3, 1, 3]) {
      const [turn, spot] = [some(most), some(100)]
      const after = turnedBy(turn, spot)
      expect(Math.hypot(...after)).toBeCloseTo(Math.hypot(...spot), 9)
      const back = turnedBy(turn.map((t) => -t) as unknown as Vec3, after)
      for (const k of [0, 1, 2]) expect(back[k]).toBeCloseTo(spot[k] as number, 9)
      for (const k of [0, 1, 2]) expect(turnedBy(turn, turn)[k]).toBeCloseTo(turn[k] as number, 12)
    }
  })
  test('by a quarter round the upright axis takes right to up', () => {
    const [x, y, z] = turnedBy([0, 0, Math.PI / 2], [1, 0, 5])
    expect([x, y, z].map((n) => Number(n.toFixed(12)))).toEqual([0, 1, 5])
  })
  test('of hardly anything has the slope of a turn', () => {
    const tiny = 1e-10
    const [, y] = turnedBy([0, 0, tiny], [1, 0, 0])
    expect(y / tiny).toBeCloseTo(1, 9)
  })
  test('comes before the move', () => {
    const seen = inCamera({ turn: [0, 0, Math.PI], moveMm: [10, 20, 300] }, [1, 2, 3])
    for (const [k, wanted] of [9, 18, 303].entries()) expect(seen[k]).toBeCloseTo(wanted, 9)
  })
})
