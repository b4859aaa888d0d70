import { describe, expect, test } from 'vitest'
import { seededRandom } from '../numerics/index.ts'
import { doubles, inKernel } from './instance.ts'
import { type Overlaps, overlaps, type StandIn } from './overlaps.ts'

const random = seededRandom(11)

/** A shape of some circles near each other, and a box round them with some room. */
function shapeOf(circles: number): StandIn {
  const poles = Array.from({ length: circles }, () => [80 * random(), 50 * random(), 4 + 12 * random()])
  const most = (axis: number, sign: number) =>
    sign * Math.max(...poles.map((pole) => sign * pole[axis]! + pole[2]!)) + 3 * sign
  return {
    minX: most(0, -1),
    minY: most(1, -1),
    maxX: most(0, 1),
    maxY: most(1, 1),
    poles: Float64Array.from(poles.flat()),
    acrossMm: 100 + 40 * random(),
    rootMm: 5 + random(),
  }
}
const shapes = [1, 3, 4, 5, 8, 10].map(shapeOf)

/** The same in plain words: circle by circle. */
function plainLoss(a: StandIn, b: StandIn, dx: number, dy: number): number {
  if (a.maxX <= b.minX + dx || b.maxX + dx <= a.minX || a.maxY <= b.minY + dy || b.maxY + dy <= a.minY) return 0
  const soft = 0.01 * Math.max(a.acrossMm, b.acrossMm)
  let depth = 0
  let meet = false
  for (let i = 0; i < a.poles.length; i += 3)
    for (let j = 0; j < b.poles.length; j += 3) {
      const away = Math.hypot(a.poles[i]! - dx - b.poles[j]!, a.poles[i + 1]! - dy - b.poles[j + 1]!)
      const deep = a.poles[i + 2]! + b.poles[j + 2]! - away
      meet ||= deep > 0
      depth += (deep >= soft ? deep : soft ** 2 / (2 * soft - deep)) * Math.min(a.poles[i + 2]!, b.poles[j + 2]!)
    }
  return (meet ? 1 : -1) * Math.sqrt(Math.PI * depth + soft ** 2) * a.rootMm * b.rootMm
}

const anywhere = () => 260 * (random() - 0.5)

test('two shapes count by their circles, whatever the number of these, as reckoned plainly', () => {
  inKernel(() => {
    const of = overlaps(shapes, 2)
    const signs = new Set<number>()
    for (let k = 0; k < 2000; k++) {
      const a = Math.floor(random() * shapes.length)
      const b = Math.floor(random() * shapes.length)
      const [dx, dy] = [anywhere(), anywhere()]
      const plain = plainLoss(shapes[a]!, shapes[b]!, dx, dy)
      signs.add(Math.sign(plain))
      const loss = of.pairLoss(a, b, dx, dy)
      expect(Math.abs(loss - plain)).toBeLessThanOrEqual(2e-4 * Math.abs(plain))
    }
    expect(signs).toEqual(new Set([-1, 0, 1]))
  })
})

test('it is the same from either of the two', () => {
  inKernel(() => {
    const of = overlaps(shapes, 2)
    for (let k = 0; k < 300; k++) {
      const [a, b] = [k % shapes.length, (7 * k + 3) % shapes.length]
      const [dx, dy] = [anywhere(), anywhere()]
      const there = of.pairLoss(a, b, dx, dy)
      expect(Math.abs(of.pairLoss(b, a, -dx, -dy) - there)).toBeLessThanOrEqual(1e-4 * Math.abs(there))
    }
  })
})

describe('a copy among others', () => {
  const size = 9
  const among = (of: Overlaps) =>
    Array.from({ length: size }, (_, j) => {
      const shape = (2 * j + 1) % shapes.length
      of.x[j] = anywhere()
      of.y[j] = anywhere()
      of.lie(j, shape)
      for (let i = 0; i < size; i++) of.weight[i * size + j] = 1 + 3 * random()
      return shape
    })

  test('counts those whose circles meet, each by its weight, and leaves the others to their sides', () => {
    inKernel(() => {
      const of = overlaps(shapes, size)
      const lying = among(of)
      let left = 0
      for (let k = 0; k < 200; k++) {
        const [i, shape, x, y] = [k % size, k % shapes.length, anywhere(), anywhere()]
        const pairs = lying.map((other, j) =>
          j === i ? 0 : of.weight[i * size + j]! * of.pairLoss(shape, other, of.x[j]! - x, of.y[j]! - y),
        )
        const sum = of.lossAt(i, shape, x, y, Number.POSITIVE_INFINITY)
        expect(sum).toBeCloseTo(
          pairs.reduce((all, loss) => all + Math.max(0, loss), 0),
          6,
        )
        const unsure = pairs.flatMap((loss, j) => (loss < 0 ? [j] : []))
        expect([...of.unsure.subarray(0, of.told[0])]).toEqual(unsure)
        unsure.forEach((j, at) => {
          expect(of.unsureLoss[at]).toBeCloseTo(-pairs[j]!, 6)
        })
        left += unsure.length
      }
      expect(left).toBeGreaterThan(50)
    })
  })

  test('is looked at no further than where it counts enough', () => {
    inKernel(() => {
      const of = overlaps(shapes, size)
      among(of)
      for (let j = 0; j < size; j++) of.x[j] = of.y[j] = 0
      const whole = of.lossAt(0, 5, 0, 0, Number.POSITIVE_INFINITY)
      const groups = of.told[1]!
      const some = of.lossAt(0, 5, 0, 0, whole / 3)
      expect(some).toBeGreaterThanOrEqual(whole / 3)
      expect(some).toBeLessThan(whole)
      expect(of.told[1]).toBeLessThan(groups)
    })
  })
})

test('two of them in one scope do not disturb each other, nor does what is laid out later', () => {
  inKernel(() => {
    const first = overlaps(shapes, 3)
    first.weight.fill(2)
    first.x.set([0, 5, 10])
    const before = first.lossAt(0, 2, 1, 1, Number.POSITIVE_INFINITY)
    const second = overlaps(shapes.slice(3), 3)
    second.x.fill(40)
    doubles(100).values.fill(7)
    expect(first.lossAt(0, 2, 1, 1, Number.POSITIVE_INFINITY)).toBe(before)
    expect([...second.x]).toEqual([40, 40, 40])
  })
})
