import { describe, expect, test } from 'vitest'
import { rotate } from '../geometry/index.ts'
import { effortPerSecond, type NestRequest } from './index.ts'
import { type Fitted, jigsawFill } from './jigsawFill.ts'
import { expectSound, nested, rectangle } from './testLayouts.ts'
import { bentJigsaw, jigsaw, kitOfPieces } from './testPieces.ts'

const tenSeconds = 10 * effortPerSecond
const circle = (radiusMm: number) => Array.from({ length: 40 }, (_, k) => rotate([radiusMm, 0], (2 * Math.PI * k) / 40))
const always = () => true
const fittedOf = (request: NestRequest): readonly Fitted[] => jigsawFill(request, { spent: 0 }, always)

describe('pieces of a sheet that was cut up', () => {
  test.each([
    ['12 straight ones', jigsaw(12, 1)],
    ['25', jigsaw(25, 1)],
    ['25 others', jigsaw(25, 11)],
    ['40', jigsaw(40, 2)],
    ['25 with bends, whose corners meet sides', bentJigsaw(25, 2)],
    ['40 with bends', bentJigsaw(40, 3)],
    ['25 wavy ones', jigsaw(25, 1, { wavy: true })],
  ])('leave nothing between them: %s', (_, request) => {
    const found = nested(request, tenSeconds)
    expectSound(request, found)
    expect(found.utilisation).toBeGreaterThan(0.995)
  })

  test('with a gap between them and a border they take what the gap takes', () => {
    const request = { ...jigsaw(12, 6, { gapMm: 3 }), rollWidthMm: 997 + 2 * 10, borderMm: 10 }
    const found = nested(request, tenSeconds / 5)
    expectSound(request, found)
    // 1500 by 1000 with half the gap round each piece; none of it at the two ends, but the border.
    expect(found.usedLengthMm).toBeLessThan(1500 - 3 + 20 + 5)
  })

  test('tiles that are alike need no more than their area', () => {
    const tile = { id: 'tile', count: 24, outline: rectangle(250, 120) }
    const request = { rollWidthMm: 750, gapMm: 0, pieces: [tile] }
    const found = nested(request, tenSeconds)
    expectSound(request, found)
    expect(found.usedLengthMm).toBeLessThan(961)
  })

  test('drawn to a hundredth of a millimetre, they need not fit exactly', () => {
    for (const seed of [2, 3, 4]) {
      const found = nested(bentJigsaw(25, seed, { digits: 2 }), tenSeconds)
      expect(found.utilisation).toBeGreaterThan(0.995)
    }
  })

  test('among others: they lie as they did, the others behind them', () => {
    const whole = jigsaw(12, 1)
    const disc = { id: 'disc', count: 3, outline: circle(75) }
    const request = { ...whole, pieces: [...whole.pieces, disc] }
    const found = nested(request, tenSeconds / 10)
    expectSound(request, found)
    expect(found.usedLengthMm).toBeLessThan(1500 + 151)
  })

  test('that may not be turned back are laid out as others are', () => {
    const whole = jigsaw(8, 3)
    const request = { ...whole, pieces: whole.pieces.map((piece) => ({ ...piece, turns: [0] })) }
    expect(fittedOf(request).length).toBeLessThan(8)
    expectSound(request, nested(request, tenSeconds / 20))
  })

  test('are the same for the same request', () => {
    expect(fittedOf(bentJigsaw(12, 5))).toEqual(fittedOf(bentJigsaw(12, 5)))
  })
})

test('pieces of a kit do not fit each other so: given up after a fraction of the effort', () => {
  for (const seed of [1, 2, 3]) {
    const effort = { spent: 0 }
    expect(jigsawFill(kitOfPieces(25, seed), effort, always).length).toBeLessThan(8)
    expect(effort.spent).toBeLessThan(0.02 * tenSeconds)
  }
})

test('stopped, it tells what it has', () => {
  let asked = 0
  const fitted = jigsawFill(jigsaw(25, 1), { spent: 0 }, () => asked++ < 200)
  expect(fitted.length).toBeGreaterThan(0)
  expect(fitted.length).toBeLessThan(25)
})
