import { describe, expect, test } from 'vitest'
import { distance, nearestOnOutline, type Vec2 } from '../geometry/index.ts'
import { seededRandom } from '../numerics/index.ts'
import { corrected, cutOrder, knifeWay, type LyingPiece, scaleMeasured, testSquare, trueScale } from './index.ts'

const square = (sideMm: number, x: number, y: number): Vec2[] =>
  testSquare(sideMm, 0).map(([a, b]): Vec2 => [a + x, b + y])
const plain = (outline: Vec2[]): LyingPiece => ({ outline, cutOuts: [] })
const random = seededRandom(5)
const scattered = Array.from({ length: 40 }, (_, i) => plain(square(20, 40 * i, 900 * random())))

describe('the order of cutting', () => {
  test('cut-outs before their outline, and what lies in a cut-out before it', () => {
    const frame: LyingPiece = { outline: square(300, 0, 0), cutOuts: [square(100, 20, 20), square(100, 160, 160)] }
    const inside: LyingPiece = { outline: square(60, 40, 40), cutOuts: [square(20, 60, 60)] }
    const order = cutOrder([frame, inside], 500).map(
      ({ piece, kind, line }) => `${piece} ${kind} ${distance(line[0]!, line[1]!)}`,
    )
    expect(order).toHaveLength(5)
    const place = (loop: string) => order.indexOf(loop)
    expect(place('1 cut-out 20')).toBeLessThan(place('1 outline 60'))
    expect(place('1 outline 60')).toBeLessThan(place('0 cut-out 100'))
    expect(order.at(-1)).toBe('0 outline 300')
  })

  test('every line once, each with all of its corners', () => {
    const loops = cutOrder(scattered, 200)
    expect(loops.map(({ piece }) => piece).sort((a, b) => a - b)).toEqual(scattered.map((_, i) => i))
    for (const { piece, line } of loops) expect([...line].sort()).toEqual([...scattered[piece]!.outline].sort())
  })

  test('each line begins at the corner that is nearest to where the knife comes from', () => {
    let at: Vec2 = [0, 0]
    for (const { line } of cutOrder(scattered, 200)) {
      expect(distance(line[0]!, at)).toBeCloseTo(Math.min(...line.map((p) => distance(p, at))), 9)
      at = line[0]!
    }
  })

  test('near before far: the roll is never drawn back by more than the stretch', () => {
    let reach = 0
    for (const { line } of cutOrder(scattered, 200)) {
      const from = Math.min(...line.map(([x]) => x))
      expect(from).toBeGreaterThan(reach - 200 - 1e-9)
      reach = Math.max(reach, from)
    }
  })

  test('within a stretch by a short way: much less than from left to right', () => {
    const wayMm = (loops: readonly { readonly line: readonly Vec2[] }[]) => {
      let [at, sum]: [Vec2, number] = [[0, 0], 0]
      for (const { line } of loops) {
        sum += distance(at, line[0]!)
        at = line[0]!
      }
      return sum
    }
    const asTheyLie = scattered.map(({ outline }) => ({ line: outline }))
    expect(wayMm(cutOrder(scattered, 800))).toBeLessThan(0.6 * wayMm(asTheyLie))
  })
})

describe('the way of the knife', () => {
  test('goes on past its beginning by the overcut, round corners if need be', () => {
    const way = knifeWay(square(10, 0, 0), { overcutMm: 14, offsetMm: 0 })
    expect(way.slice(-3)).toEqual([
      [0, 0],
      [10, 0],
      [10, 4],
    ])
  })

  test('the point of a trailing blade follows the line: no further off than its steps round a corner', () => {
    const line = square(40, 5, 5)
    const offsetMm = 0.4
    const way = knifeWay(line, { overcutMm: 2, offsetMm })
    // The point is pulled behind the middle, always at the offset.
    let point = line[0]!
    let worst = 0
    for (let i = 1; i < way.length; i++)
      for (let k = 1; k <= 400; k++) {
        const [a, b] = [way[i - 1]!, way[i]!]
        const middle: Vec2 = [a[0] + ((b[0] - a[0]) * k) / 400, a[1] + ((b[1] - a[1]) * k) / 400]
        const far = distance(middle, point)
        point = [
          middle[0] + ((point[0] - middle[0]) * offsetMm) / far,
          middle[1] + ((point[1] - middle[1]) * offsetMm) / far,
        ]
        worst = Math.max(worst, nearestOnOutline(line, point).distanceMm)
      }
    expect(worst).toBeLessThan(0.01)
    const without = knifeWay(line, { overcutMm: 2, offsetMm: 0 })
    expect(way.length).toBeGreaterThan(without.length + 20)
  })
})

describe('a plotter that cuts too short', () => {
  test('told what was measured, its lengths come out true', () => {
    const plotter = { along: 0.996, across: 1.002 }
    const cut = (line: readonly Vec2[]) => line.map(([x, y]): Vec2 => [x * plotter.along, y * plotter.across])
    const measured = cut(testSquare(200, 0))[2]!
    const scale = scaleMeasured(200, { alongMm: measured[0], acrossMm: measured[1] }, trueScale)
    const [x, y] = cut(corrected([[1000, 700]], scale))[0]!
    expect([x, y]).toEqual([expect.closeTo(1000, 9), expect.closeTo(700, 9)])
    // Measured again with that set, nothing is left to change.
    const again = cut(corrected(testSquare(200, 0), scale))[2]!
    expect(scaleMeasured(200, { alongMm: again[0], acrossMm: again[1] }, scale)).toEqual({
      along: expect.closeTo(0.996, 9),
      across: expect.closeTo(1.002, 9),
    })
  })
})
