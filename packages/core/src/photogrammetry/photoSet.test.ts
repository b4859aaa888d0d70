import { describe, expect, test } from 'vitest'
import { type Measured, type MeasuredPoint, plateTargets } from './index.ts'
import { measured } from './measured.ts'
import { photoProblem, photoSet, type ReadPhoto, seesPlate, suretyOf } from './photoSet.ts'
import { bonnetPart, bumperPart, lampPart, phone, setOf, standsRound } from './testPhotos.ts'

const sharp = [0.7, 0.7, 0.7, 0.7]
const photo = (targets: readonly number[], widthPx = 4000, heightPx = 3000, softPx = sharp): ReadPhoto => ({
  widthPx,
  heightPx,
  targets: targets.map((target) => ({ target, atPx: [100 + target, 200], radiiPx: [6, 5], softPx })),
})
const many = Array.from({ length: 20 }, (_, i) => i)

describe('a photograph', () => {
  const good = photo([...many, ...plateTargets])
  test('is used where it shows enough targets and is of the same camera', () => {
    expect(photoProblem(good, [good, good])).toBeNull()
    expect(photoProblem(photo([...many, ...plateTargets], 3000, 4000), [good, good])).toBeNull()
    const other = photo([...many, ...plateTargets], 3264, 2448)
    expect(photoProblem(other, [other, good, good])).toBe('another size')
    expect(photoProblem(good, [other, good, good])).toBeNull()
    expect(photoProblem(photo([1, 2, ...plateTargets.slice(0, 4)]), [good, good])).toBe('few targets')
  })
  test('says by itself from where it was taken where four of the plate are in it', () => {
    expect(seesPlate(photo([...many, ...plateTargets.slice(0, 4)]))).toBe(true)
    expect(seesPlate(photo([...many, ...plateTargets.slice(0, 3)]))).toBe(false)
  })
  test('soft all round is blurred, soft one way is shaken', () => {
    expect(photoProblem(photo(many, 4000, 3000, [2, 2.1, 2, 2.2]), [good, good])).toBe('blurred')
    expect(photoProblem(photo(many, 4000, 3000, [2.4, 1.6, 0.9, 1.5]), [good, good])).toBe('shaken')
    // One that nothing is known of one way does not decide.
    expect(photoProblem(photo(many, 4000, 3000, [0.8, Infinity, 0.7, 0.9]), [good, good])).toBeNull()
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
  const point = (target: number, at: number, sigma: number): MeasuredPoint => ({
    target,
    atMm: [at, 0, 0],
    sigmaMm: [0, 0, sigma],
    covarianceMm2: null,
    rays: 8,
  })
  const found = (sigma: number, share: number, more: Partial<Measured> = {}): Measured => ({
    points: [point(3, 0, 0.1), point(7, 300, sigma), point(112, 0, 0.1), point(113, 1000, 0.1)],
    taken: [],
    lens: { radial: [0, 0, 0], tangential: [0, 0] },
    unplaced: [],
    shaken: [],
    rejected: [],
    rmsPx: 0.1,
    scaled: true,
    barsOff: [{ targets: [112, 113], share }],
    tooFewRays: [],
    ...more,
  })
  test('names the least sure point', () => {
    expect(suretyOf(found(0.4, 0.0003))).toEqual({
      worst: { target: 7, sigmaMm: 0.4 },
      barOff: 0.0003,
      problem: null,
      agreesLeast: null,
    })
  })
  test('says what is not to be used as it is', () => {
    expect(suretyOf(found(0.4, 0, { scaled: false, barsOff: [] })).problem).toBe('no scale')
    expect(suretyOf(found(0.4, 0.01)).problem).toBe('bars contradict')
    // A tenth of a millimetre at each end of a metre: so far two bars may be apart by chance.
    expect(suretyOf(found(0.4, 0.0004)).problem).toBeNull()
    expect(suretyOf(found(0.4, 0.0006)).problem).toBe('bars contradict')
    const one = { from: [0, 0, 500], pose: { turn: [0, 0, 0], moveMm: [0, 0, 0] } } as const
    const taken = [{ ...one, photo: 4, spinRad: 0.01, inner: { focalPx: 1, middlePx: [0, 0] as const } }]
    expect(suretyOf(found(0.4, 0, { shaken: [4] })).problem).toBeNull()
    expect(suretyOf(found(0.4, 0, { shaken: [4], taken })).problem).toBe('shaken')
    expect(suretyOf(found(Infinity, 0, { taken })).problem).toBe('one side')
  })
  test.each([
    ['headlamp', lampPart()],
    ['bumper', bumperPart()],
  ])('a %s photographed from one side is not passed over in silence; all round it is sure', (_, part) => {
    const round = measured(setOf(part, phone, 3))
    const side = measured(setOf(part, phone, 3, standsRound(part, 12, 60)))
    if (round === null || side === null) throw new Error('nothing was measured')
    expect(suretyOf(round).problem).toBeNull()
    expect(suretyOf(side).problem).toBe('one side')
    // Rays alone would not tell it.
    expect(side.rmsPx).toBeLessThan(1.1 * round.rmsPx)
  })
  test('a bonnet from four stands: more photographs', () => {
    const few = measured(setOf(bonnetPart(), phone, 3, standsRound(bonnetPart(), 4)))
    expect(few === null ? 'nothing' : suretyOf(few).problem).toBe('unsure')
  })
})
