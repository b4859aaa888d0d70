import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { seededRandom } from '../numerics/index.ts'
import {
  add,
  boundsOf,
  centroid,
  contains,
  cross2,
  densify,
  distance,
  distanceToLine,
  dot2,
  length2,
  lerp,
  nearestOnOutline,
  outlineGauge,
  perpendicular,
  rotate,
  scale,
  subtract,
  unit,
  type Vec2,
} from './index.ts'

const number = fc.double({ min: -100, max: 100, noNaN: true })
const point = fc.tuple(number, number) as fc.Arbitrary<Vec2>
const near = (a: Vec2, b: Vec2) => {
  expect(a[0]).toBeCloseTo(b[0], 8)
  expect(a[1]).toBeCloseTo(b[1], 8)
}

describe('vectors', () => {
  test('of whole numbers, by hand', () => {
    expect(add([1, 2], [3, 5])).toEqual([4, 7])
    expect(subtract([1, 2], [3, 5])).toEqual([-2, -3])
    expect(scale([2, -3], 4)).toEqual([8, -12])
    expect(dot2([2, 3], [5, 7])).toBe(31)
    expect(cross2([2, 3], [5, 7])).toBe(-1)
    expect(length2([3, 4])).toBe(5)
    expect(distance([1, 1], [4, 5])).toBe(5)
    expect(lerp([1, 2], [5, 10], 0.25)).toEqual([2, 4])
    expect(perpendicular([1, 0])).toEqual([-0, 1])
  })
  test('product and cross product are those of length and angle', () => {
    fc.assert(
      fc.property(point, point, (a, b) => {
        expect(dot2(a, b) ** 2 + cross2(a, b) ** 2).toBeCloseTo(length2(a) ** 2 * length2(b) ** 2, 2)
        expect(dot2(a, perpendicular(a))).toBeCloseTo(0, 9)
        expect(cross2(a, perpendicular(a))).toBeCloseTo(length2(a) ** 2, 6)
      }),
    )
  })
  test('a turn keeps lengths and goes counter-clockwise; a direction has length 1 or is nothing', () => {
    near(rotate([1, 0], Math.PI / 2), [0, 1])
    near(rotate([0, 1], Math.PI / 2), [-1, 0])
    fc.assert(
      fc.property(point, number, (a, turn) => {
        expect(length2(rotate(a, turn))).toBeCloseTo(length2(a), 8)
        near(rotate(rotate(a, turn), -turn), a)
        if (length2(a) > 1e-6) expect(length2(unit(a))).toBeCloseTo(1, 12)
      }),
    )
    expect(unit([0, 0])).toEqual([0, 0])
    near(unit([3, -4]), [0.6, -0.8])
  })
})

const chance = seededRandom(4)
/** Stars: never crossing themselves, whichever way round. */
const stars = Array.from({ length: 12 }, (_, k): Vec2[] =>
  Array.from({ length: 3 + 3 * k }, (__, i) => {
    const turn = ((k % 2 === 0 ? 1 : -1) * 2 * Math.PI * i) / (3 + 3 * k)
    const r = 30 + 70 * chance()
    return [200 + r * Math.cos(turn), -50 + r * Math.sin(turn)]
  }),
)
const somewhere = (): Vec2 => [200 + 240 * (chance() - 0.5), -50 + 240 * (chance() - 0.5)]

describe('polygons', () => {
  test('the middle of an area: of a triangle the mean of its corners, of two halves between theirs by area', () => {
    near(
      centroid([
        [0, 0],
        [9, 0],
        [0, 6],
      ]),
      [3, 2],
    )
    near(
      centroid([
        [0, 6],
        [9, 0],
        [0, 0],
      ]),
      [3, 2],
    )
    // An L of a square and one of half its side beside it: by hand.
    near(
      centroid([
        [0, 0],
        [6, 0],
        [6, 2],
        [4, 2],
        [4, 4],
        [0, 4],
      ]),
      [(16 * 2 + 4 * 5) / 20, (16 * 2 + 4 * 1) / 20],
    )
  })
  test('points along it keep every corner, lie on their side, and are no farther apart than asked', () => {
    for (const star of stars) {
      const { points, side } = densify(star, 7)
      expect(star.every((corner) => points.some((p) => distance(p, corner) < 1e-9))).toBe(true)
      points.forEach((p, i) => {
        const next = points[(i + 1) % points.length]!
        expect(distance(p, next)).toBeLessThanOrEqual(7 + 1e-9)
        const [a, b] = [star[side[i]!]!, star[(side[i]! + 1) % star.length]!]
        expect(distance(a, p) + distance(p, b)).toBeCloseTo(distance(a, b), 8)
      })
      // No more of them than it takes: half the distance asked for would be needless.
      const around = star.reduce((sum, a, i) => sum + distance(a, star[(i + 1) % star.length]!), 0)
      expect(points.length).toBeLessThanOrEqual(around / 7 + star.length)
    }
  })
  test('the box round it holds all of it, and touches it on every side', () => {
    for (const star of stars) {
      const { min, max } = boundsOf(star)
      expect(min).toEqual([Math.min(...star.map((p) => p[0])), Math.min(...star.map((p) => p[1]))])
      expect(max).toEqual([Math.max(...star.map((p) => p[0])), Math.max(...star.map((p) => p[1]))])
    }
  })
  test('the nearest place of an outline is none farther than any of many places on it, and lies on its side', () => {
    for (const star of stars)
      for (let n = 0; n < 30; n++) {
        const p = somewhere()
        const { distanceMm, point: at, side } = nearestOnOutline(star, p)
        expect(distance(p, at)).toBeCloseTo(distanceMm, 9)
        const [a, b] = [star[side]!, star[(side + 1) % star.length]!]
        expect(distance(a, at) + distance(at, b)).toBeCloseTo(distance(a, b), 8)
        const least = Math.min(...densify(star, 1).points.map((q) => distance(p, q)))
        expect(distanceMm).toBeLessThanOrEqual(least + 1e-9)
        expect(least).toBeLessThan(distanceMm + 1)
        expect(distanceToLine([...star, star[0]!], p)).toBeCloseTo(distanceMm, 9)
      }
  })
  test('a prepared outline answers as a plain one does, wherever one begins to look', () => {
    for (const star of stars) {
      const gauge = outlineGauge(star)
      for (let n = 0; n < 60; n++) {
        // Places right at a corner's side of the outline as well.
        const corner = star[n % star.length]!
        const p: Vec2 = n % 3 === 0 ? [corner[0] + 3 * (chance() - 0.5), corner[1] + 3 * (chance() - 0.5)] : somewhere()
        const found = gauge.nearest(p, Math.floor(chance() * star.length))
        const plain = nearestOnOutline(star, p)
        expect(found.distanceMm).toBeCloseTo(plain.distanceMm, 9)
        near(found.point, plain.point)
        near(lerp(star[found.side]!, star[(found.side + 1) % star.length]!, found.share), found.point)
        if (found.distanceMm > 1e-6) expect(gauge.holds(p, found)).toBe(contains(star, p))
      }
    }
  })
  test('an open line has no side from its end to its beginning, and one point has none at all', () => {
    expect(
      distanceToLine(
        [
          [0, 0],
          [10, 0],
          [10, 10],
        ],
        [0, 10],
      ),
    ).toBeCloseTo(10, 9)
    expect(distanceToLine([[0, 0]], [3, 4])).toBe(Number.POSITIVE_INFINITY)
  })
})
