import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { ringBits, ringDistance, rings, targetCodes, targetOf, turned, upright, whiteOf } from './codes.ts'
import { isWhite, targetRadii } from './target.ts'

describe('rings of targets', () => {
  test('there are 120, and any two differ in three bits at least, however they are turned', () => {
    expect(rings).toHaveLength(targetCodes)
    for (const [i, a] of rings.entries())
      for (const b of rings.slice(i + 1)) {
        for (let k = 0; k < ringBits; k++) expect(whiteOf(turned(a, k) ^ b)).toBeGreaterThanOrEqual(3)
      }
  })
  test('a ring is known however it is turned', () => {
    for (const [target, ring] of rings.entries())
      for (let turn = 0; turn < ringBits; turn++) expect(targetOf(turned(ring, turn))).toBe(target)
  })
  test('with one bit wrong it is none; with two it is never another one, though it may be itself, turned', () => {
    let itself = 0
    for (const [target, ring] of rings.entries())
      for (let i = 0; i < ringBits; i++) {
        expect(targetOf(ring ^ (1 << i))).toBeNull()
        for (let j = 0; j < i; j++) {
          const known = targetOf(ring ^ (1 << i) ^ (1 << j))
          if (known !== null) expect(known).toBe(target)
          if (known !== null) itself++
        }
      }
    // Some rings differ from themselves, turned, in two bits only: those are still read as what they are.
    expect(itself).toBeGreaterThan(0)
  })
  test('turns keep the number of white bits; sixteen turns are none', () => {
    fc.assert(
      fc.property(fc.nat(0xffff), fc.nat(15), (ring, turn) => {
        expect(whiteOf(turned(ring, turn))).toBe(whiteOf(ring))
        expect(turned(turned(ring, turn), ringBits - turn)).toBe(ring)
        expect(upright(turned(ring, turn))).toBe(upright(ring))
        expect(ringDistance(ring, turned(ring, turn))).toBe(0)
      }),
    )
  })
})

test('a target is black in its dot, white round it and at its margin, and has its bits in between', () => {
  expect(isWhite(5, 0.5, 0.5)).toBe(false)
  expect(isWhite(5, 1.5, 0)).toBe(true)
  expect(isWhite(5, 0, -3.3)).toBe(true)
  expect(isWhite(5, targetRadii.margin, 0.1)).toBeNull()
  // On the rims themselves: the dot and the white round it hold their own, the ring its outer one.
  for (const target of [0, 1].map((bit) => rings.findIndex((ring) => ring % 2 === bit)))
    expect([1, 2, 3].map((r) => isWhite(target, r, 0))).toEqual([false, true, (rings[target] ?? 0) % 2 === 1])
  const bits = Array.from({ length: ringBits }, (_, k) => {
    const turn = (2 * Math.PI * (k + 0.5)) / ringBits
    return isWhite(5, 2.5 * Math.cos(turn), 2.5 * Math.sin(turn)) === true ? 1 : 0
  })
  expect(bits.reduce<number>((ring, bit, k) => ring | (bit << k), 0)).toBe(rings[5])
})
