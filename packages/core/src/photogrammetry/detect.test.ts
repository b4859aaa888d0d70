import { describe, expect, test } from 'vitest'
import type { Vec2 } from '../geometry/index.ts'
import { seededRandom } from '../numerics/index.ts'
import { detectTargets, type GreyPicture } from './detect.ts'
import { type DrawnTarget, drawnPicture, type TestLight } from './testPicture.ts'

const usual: TestLight = { noise: 4, blurPx: 0.8, uneven: 0.45, paint: 120 }

/** Targets side by side, each of its own size, slanted and turned by chance; `least` is the smaller half axis of the dot. */
function scattered(seed: number, radius: readonly [number, number]): (DrawnTarget & { readonly least: number })[] {
  const chance = seededRandom(seed)
  return Array.from({ length: 30 }, (_, k) => {
    const dot = radius[0] + (radius[1] - radius[0]) * chance()
    const slant = 0.45 + 0.55 * chance()
    const [roll, turn] = [2 * Math.PI * chance(), 2 * Math.PI * chance()]
    const carried = (x: number, y: number): Vec2 => {
      const [u, v] = [x * Math.cos(roll) - y * Math.sin(roll), x * Math.sin(roll) + y * Math.cos(roll)]
      const [p, q] = [u * dot, v * dot * slant]
      return [p * Math.cos(turn) - q * Math.sin(turn), p * Math.sin(turn) + q * Math.cos(turn)]
    }
    return {
      target: (31 * seed + 4 * k) % 120,
      atPx: [80 + 160 * (k % 6) + 30 * chance(), 80 + 150 * Math.floor(k / 6) + 30 * chance()],
      alongX: carried(1, 0),
      alongY: carried(0, 1),
      least: dot * slant,
    }
  })
}

const near = (a: Vec2, b: Vec2) => Math.hypot(a[0] - b[0], a[1] - b[1])

describe('targets in a picture', () => {
  test('slanted, turned, soft, noisy and in uneven light: hardly one is missed, none is taken for another, middles are right to a tenth of a pixel', () => {
    let [readable, read, square, worst] = [0, 0, 0, 0]
    for (let seed = 1; seed <= 9; seed++) {
      const drawn = scattered(seed, [2.5, 11])
      const paint = [40, 120, 200][seed % 3] ?? 120
      const found = detectTargets(drawnPicture(1040, 860, drawn, { ...usual, paint }, seed))
      for (const { target, atPx } of found) {
        const own = drawn.find((one) => one.target === target)
        // None where there is none, and none by another's number.
        expect(own).toBeDefined()
        const off = near(atPx, own?.atPx ?? [0, 0])
        square += off * off
        worst = Math.max(worst, off)
      }
      const large = drawn.filter(({ least }) => least >= 3)
      readable += large.length
      read += large.filter(({ target }) => found.some((one) => one.target === target)).length
    }
    expect(read / readable).toBeGreaterThan(0.98)
    expect(worst).toBeLessThan(0.15)
    expect(Math.sqrt(square / read)).toBeLessThan(0.05)
  })
  test('one at the seam of two pieces is found once; one that is cut off by the picture is not', () => {
    const target = (number: number, atPx: Vec2): DrawnTarget => ({
      target: number,
      atPx,
      alongX: [7, 0],
      alongY: [0, 7],
    })
    const drawn = [target(3, [512, 512]), target(9, [511, 200]), target(17, [8, 300])]
    const found = detectTargets(drawnPicture(700, 620, drawn, usual, 1))
    expect(found.map((one) => one.target)).toEqual([3, 9])
    for (const { target: number, radiiPx } of found) {
      expect(number).not.toBe(17)
      expect(radiiPx[0]).toBeGreaterThan(6.5)
      expect(radiiPx[1]).toBeLessThan(7.6)
    }
  })
  test('one whose dot is too small, too large or too slanted is not read; one that is just within is', () => {
    const of = (target: number, atPx: Vec2, wide: number, high: number): DrawnTarget => ({
      target,
      atPx,
      alongX: [wide, 0],
      alongY: [0, high],
    })
    const drawn = [
      of(1, [60, 60], 1.6, 1.6),
      of(2, [160, 60], 3, 3),
      of(3, [330, 60], 20, 4.4),
      of(4, [530, 60], 16, 6.4),
      of(5, [180, 330], 42, 42),
      of(6, [480, 330], 33, 33),
    ]
    const sharp: TestLight = { noise: 2, blurPx: 0.6, uneven: 0, paint: 120 }
    const found = detectTargets(drawnPicture(640, 500, drawn, sharp, 3))
    expect(found.map((one) => one.target).sort()).toEqual([2, 4, 6])
  })
  test('one that hardly stands out from its paper is not read', () => {
    const drawn: DrawnTarget = { target: 7, atPx: [100, 100], alongX: [9, 0], alongY: [0, 9] }
    const clear = drawnPicture(200, 200, [drawn], { noise: 0, blurPx: 0.6, uneven: 0, paint: 235 }, 1)
    const span = Math.max(...clear.grey) - Math.min(...clear.grey)
    const faint = (contrast: number) => ({
      ...clear,
      grey: clear.grey.map((grey) => 128 + ((grey - 128) * contrast) / span),
    })
    expect([20, 24].map((contrast) => detectTargets(faint(contrast)).length)).toEqual([0, 0])
    expect([40, 80].map((contrast) => detectTargets(faint(contrast))[0]?.target)).toEqual([7, 7])
  })
  test('two of one number are none: nobody knows which is meant', () => {
    const target = (atPx: Vec2): DrawnTarget => ({ target: 30, atPx, alongX: [6, 0], alongY: [0, 6] })
    const other: DrawnTarget = { target: 31, atPx: [300, 100], alongX: [6, 0], alongY: [0, 6] }
    const found = detectTargets(drawnPicture(400, 300, [target([80, 80]), target([200, 200]), other], usual, 2))
    expect(found.map((one) => one.target)).toEqual([31])
  })
  test('a picture of something else has none: noise, stripes, dots without a ring', () => {
    const of = (grey: (x: number, y: number) => number): GreyPicture => {
      const [width, height] = [500, 400]
      return {
        width,
        height,
        grey: Uint8Array.from({ length: width * height }, (_, i) => grey(i % width, Math.floor(i / width))),
      }
    }
    const chance = seededRandom(8)
    const dots = (x: number, y: number) => (Math.hypot((x % 50) - 25, (y % 50) - 25) < 7 ? 20 : 220)
    for (const picture of [of(() => 255 * chance()), of((x) => (x % 12 < 6 ? 30 : 220)), of(dots), of(() => 128)])
      expect(detectTargets(picture)).toEqual([])
  })
})
