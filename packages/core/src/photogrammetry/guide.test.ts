import { describe, expect, test } from 'vitest'
import type { Vec3 } from './camera.ts'
import { guided, sideOf } from './guide.ts'
import { measured } from './measured.ts'
import { splitHalf } from './splitHalf.ts'
import { lookingAt } from './stand.ts'
import { bonnetPart, lampPart, phone, setOf, standsRound } from './testPhotos.ts'

const part = lampPart()

describe('where to stand next, told in words', () => {
  test('by the plate: opposite it, and to the right and left of who stands at it', () => {
    const middle: Vec3 = [0, 0, 0]
    const plate: Vec3 = [0, -300, 0]
    expect(sideOf([0, -900, 400], middle, plate)).toBe('at the plate')
    expect(sideOf([0, 900, 400], middle, plate)).toBe('opposite the plate')
    // Who stands at the plate looks along y: x is to the right.
    expect(sideOf([900, 0, 400], middle, plate)).toBe('right')
    expect(sideOf([-900, 0, 400], middle, plate)).toBe('left')
    expect(sideOf([600, -600, 400], middle, plate)).toBe('right of the plate')
    expect(sideOf([-600, 600, 0], middle, plate)).toBe('far left')
  })
  test('after two photographs it names those that are in fewer than three, and a stand that makes the worst surer', () => {
    const told = guided(setOf(part, phone, 5, standsRound(part).slice(0, 2)))
    if (told === null) throw new Error('nothing was told')
    expect(told.taken).toHaveLength(2)
    expect(told.points.length).toBeGreaterThan(20)
    expect(told.points.every(({ rays }) => rays < 3)).toBe(true)
    expect(told.next?.worstThenMm).toBeLessThan(0.5 * (told.next?.worstNowMm ?? 0))
  })
  test('nothing is told before two photographs see the plate', () => {
    const set = setOf(part, phone, 5, standsRound(part).slice(0, 1))
    expect(guided(set)).toBeNull()
  })
  test('all from one side: it sends to another side, and a photograph from there makes the worst surer than another from where they stood', () => {
    const few = standsRound(part, 12, 60).slice(0, 6)
    const told = guided(setOf(part, phone, 3, few))
    if (told?.next === null || told === null) throw new Error('nothing was told')
    expect(told.surety.problem).toBe('one side')
    const { from, worstNowMm } = told.next
    // The plate's first target lies there on this part.
    const stand: Vec3 = [from[0] - 120, from[1] - 410, from[2]]
    // They stood on the right, between -20 and 40 degrees.
    expect(Math.abs(Math.atan2(stand[1], stand[0]))).toBeGreaterThan(0.9)
    const after = guided(setOf(part, phone, 3, [...few, lookingAt(stand, [0, -40, 0], 0)]))
    expect(after?.next?.worstNowMm).toBeLessThan(0.7 * worstNowMm)
    // From where the others stood it gains much less.
    const again = guided(setOf(part, phone, 3, [...few, ...standsRound(part, 12, 60).slice(6, 7)]))
    expect(again?.next?.worstNowMm).toBeGreaterThan(1.2 * (after?.next?.worstNowMm ?? 0))
  })
})

describe('each half of the photographs by itself', () => {
  test.each([
    ['headlamp', lampPart(), 0.6],
    ['bonnet', bonnetPart(), 1.2],
  ])('of a %s agrees to what the points are sure of', (_, of, mostMm) => {
    const set = setOf(of, phone, 4)
    const halves = splitHalf(set)
    const whole = measured(set)
    const sigma = Math.max(...(whole?.points.map(({ sigmaMm }) => Math.hypot(...sigmaMm)) ?? []))
    expect(halves?.points).toBeGreaterThan(30)
    expect(halves?.rmsMm).toBeGreaterThan(0.01)
    expect(halves?.rmsMm).toBeLessThan(Math.min(mostMm, 4 * sigma))
  })
  test('there are none of three photographs', () => {
    expect(splitHalf(setOf(part, phone, 4, standsRound(part).slice(0, 3)))).toBeNull()
  })
})
