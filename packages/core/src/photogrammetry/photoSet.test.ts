import { describe, expect, test } from 'vitest'
import { type Measured, plateTargets } from './index.ts'
import { photoProblem, photoSet, type ReadPhoto, suretyOf } from './photoSet.ts'

const photo = (targets: readonly number[], widthPx = 4000, heightPx = 3000): ReadPhoto => ({
  widthPx,
  heightPx,
  targets: targets.map((target) => ({ target, atPx: [100 + target, 200], radiiPx: [6, 5] })),
})
const many = Array.from({ length: 20 }, (_, i) => i)

describe('a photograph', () => {
  test('is used where it shows the plate and enough targets, and is of the same camera', () => {
    const good = photo([...many, ...plateTargets])
    expect(photoProblem(good, good)).toBeNull()
    expect(photoProblem(photo([...many, ...plateTargets], 3000, 4000), good)).toBeNull()
    expect(photoProblem(photo([...many, ...plateTargets], 3264, 2448), good)).toBe('another size')
    expect(photoProblem(photo([1, 2, ...plateTargets.slice(0, 4)]), good)).toBe('few targets')
    expect(photoProblem(photo([...many, ...plateTargets.slice(0, 3)]), good)).toBe('no plate')
  })
})

describe('a set of photographs', () => {
  const good = photo([...many, ...plateTargets])
  test('holds those that can be used; a bar whose length nobody gave is none', () => {
    const set = photoSet([good, photo([1]), good], [1200, null])
    expect(set?.photographs).toHaveLength(2)
    expect(set?.bars).toEqual([{ targets: [110, 111], lengthMm: 1200 }])
    expect(set?.inner.middlePx).toEqual([2000, 1500])
    expect(photoSet([], [])).toBeNull()
  })
  test('turns upright pictures back, so that all are of one camera', () => {
    const upright = photo([...many, ...plateTargets], 3000, 4000)
    const [seen] = photoSet([good, upright], [])?.photographs[1]?.seen ?? []
    // 100 from the left and 200 from the top of an upright picture.
    expect(seen?.atPx).toEqual([200, 2900])
  })
})

describe('what a measurement is looked at for', () => {
  const measured = (sigma: number, barsOff: readonly number[]): Measured => ({
    points: [
      { target: 3, atMm: [0, 0, 0], sigmaMm: [0.1, 0.1, 0.1], rays: 8 },
      { target: 7, atMm: [0, 0, 0], sigmaMm: [0, 0, sigma], rays: 3 },
    ],
    poses: [],
    rejected: [],
    rmsPx: 0.1,
    barsOff,
    tooFewRays: [],
  })
  test('names the least sure point, and says what is not to be used as it is', () => {
    expect(suretyOf(measured(0.4, [0.0003]), true)).toEqual({
      worst: { target: 7, sigmaMm: 0.4 },
      barOff: 0.0003,
      problem: null,
    })
    expect(suretyOf(measured(0.4, []), false).problem).toBe('no scale')
    expect(suretyOf(measured(0.4, [0.01]), true).problem).toBe('bars contradict')
    expect(suretyOf(measured(3, [0]), true).problem).toBe('unsure')
    expect(suretyOf(measured(Number.POSITIVE_INFINITY, []), true).problem).toBe('unsure')
  })
})
