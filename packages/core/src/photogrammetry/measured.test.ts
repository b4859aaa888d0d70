import { describe, expect, test } from 'vitest'
import { turnedBy, turnOfMatrix, type Vec3 } from './camera.ts'
import { measured } from './measured.ts'
import { poseOfPlane } from './platePose.ts'
import { suretyOf } from './photoSet.ts'
import { rigidOnto } from './rigid.ts'
import {
  bonnetPart,
  bumperPart,
  focalPx,
  idealCamera,
  lampPart,
  middlePx,
  phone,
  photographed,
  plateMm,
  setOf,
  standsRound,
  type TestPart,
} from './testPhotos.ts'

/** How far measured points lie from where they are, after the one has been laid on the other. */
function offBy(part: TestPart, points: readonly { readonly target: number; readonly atMm: Vec3 }[]): Vec3[] {
  const are = points.map(({ target }): Vec3 => part.points[target] ?? [0, 0, 0])
  const { place } = rigidOnto(
    points.map(({ atMm }) => atMm),
    are,
  )
  return points.map(({ atMm }, n) => {
    const [x, y, z] = place(atMm)
    const [u, v, w] = are[n] ?? [0, 0, 0]
    return [x - u, y - v, z - w]
  })
}
const rms = (off: readonly Vec3[]) =>
  Math.sqrt(off.reduce((sum, o) => sum + o[0] ** 2 + o[1] ** 2 + o[2] ** 2, 0) / off.length)

const parts = [
  ['bumper', bumperPart()],
  ['bonnet', bonnetPart()],
  ['headlamp', lampPart()],
] as const

describe.each(parts)('a %s from twelve photographs', (_, part) => {
  test('with an ideal camera it comes out as it is, though lens and focal length are not known', () => {
    const found = measured(setOf(part, idealCamera, 1))
    if (found === null) throw new Error('nothing was measured')
    expect(found.points).toHaveLength(part.points.length)
    expect(rms(offBy(part, found.points))).toBeLessThan(0.01)
    expect(Math.abs(found.barsOff[0]?.share ?? 1)).toBeLessThan(1e-5)
    expect(found.rejected).toEqual([])
  })
  test('with a phone, eight times: to half a millimetre, heights to a quarter, and it says how sure it is', () => {
    const seeds = Array.from({ length: 8 }, (_, i) => 100 * (i + 1))
    const covered: number[] = []
    for (const seed of seeds) {
      const found = measured(setOf(part, phone, seed))
      if (found === null) throw new Error('nothing was measured')
      const off = offBy(part, found.points)
      expect(rms(off)).toBeLessThan(0.5)
      expect(Math.max(...off.map((o) => Math.hypot(...o)))).toBeLessThan(1.5)
      expect(Math.sqrt(off.reduce((sum, o) => sum + o[2] ** 2, 0) / off.length)).toBeLessThan(0.25)
      expect(Math.abs(found.barsOff[0]?.share ?? 1)).toBeLessThan(0.003)
      expect(found.shaken).toEqual([])
      expect(suretyOf(found).problem).toBeNull()
      covered.push(
        ...off.flatMap((o, i) => o.map((v, k) => (Math.abs(v) <= 2 * (found.points[i]?.sigmaMm[k] ?? 0) ? 1 : 0))),
      )
    }
    expect(covered.reduce((sum, v) => sum + v, 0) / covered.length).toBeGreaterThan(0.9)
  })
})

test('rays of a wrong target are thrown out and told; the rest stands as without them', () => {
  const part = lampPart()
  const set = setOf(part, phone, 7)
  const wrong = set.photographs.map(({ seen }, i) => ({
    seen:
      i !== 4
        ? seen
        : seen.map((one) => (one.target !== 11 ? one : { ...one, atPx: [one.atPx[0] + 60, one.atPx[1]] as const })),
  }))
  const found = measured({ ...set, photographs: wrong })
  if (found === null) throw new Error('nothing was measured')
  expect(found.rejected.map(({ photo, target }) => [photo, target])).toContainEqual([4, 11])
  expect(rms(offBy(part, found.points))).toBeLessThan(0.5)
})

test('a ray that is ten times as far off as the others is thrown out; the others, as far off as a phone has them, are not', () => {
  const part = lampPart()
  const set = setOf(part, phone, 8)
  const plain = measured(set)
  expect(plain?.rejected.length).toBeLessThan(3)
  const photographs = set.photographs.map(({ seen }, i) => ({
    seen: seen.map((one) =>
      i !== 4 || one.target !== 11
        ? one
        : { ...one, atPx: [one.atPx[0] + 10 * (plain?.rmsPx ?? 0), one.atPx[1]] as const },
    ),
  }))
  const found = measured({ ...set, photographs })
  expect(found?.rejected.map(({ photo, target }) => [photo, target])).toContainEqual([4, 11])
})

test('all from one side: rays miss as little as ever, yet it says that it is much less sure', () => {
  const part = lampPart()
  const round = measured(setOf(part, phone, 3))
  const front = measured(setOf(part, phone, 3, standsRound(part, 12, 60)))
  const least = (of: typeof round) =>
    Math.sqrt(
      (of?.points ?? []).reduce((sum, { sigmaMm }) => sum + sigmaMm[0] ** 2 + sigmaMm[1] ** 2 + sigmaMm[2] ** 2, 0) /
        (of?.points.length ?? 1),
    )
  expect(front?.rmsPx).toBeLessThan(1.3 * (round?.rmsPx ?? 0))
  expect(least(front)).toBeGreaterThan(1.5 * least(round))
})

test('a bar that is too long shows in the other one', () => {
  const part = lampPart()
  const set = setOf(part, { ...phone, barShare: 0.01 }, 3)
  expect(measured(set)?.barsOff[0]?.share).toBeCloseTo(0.01, 2)
})

test('a target that fewer than three photographs see is left out and named; without the plate there is nothing', () => {
  const part = lampPart()
  const set = setOf(part, phone, 5)
  const photographs = set.photographs.map(({ seen }, i) => ({
    seen: seen.filter(({ target }) => target !== 4 || i < 2),
  }))
  const found = measured({ ...set, photographs })
  expect(found?.tooFewRays).toEqual([4])
  expect(found?.points.some(({ target }) => target === 4)).toBe(false)
  expect(measured({ ...set, plate: new Map() })).toBeNull()
})

test('the pose of the plate is that from which it was photographed', () => {
  const part = lampPart()
  const [pose] = standsRound(part, 1)
  if (pose === undefined) throw new Error('no stand')
  const plain = { ...idealCamera, lens: { radial: [0, 0, 0], tangential: [0, 0] } as const }
  const rays = photographed(part, [pose], plain, 1)
  const corner = part.points[part.plate[0] ?? 0] ?? [0, 0, 0]
  const spots = part.plate.flatMap((point, i) => {
    const ray = rays.find((one) => one.point === point)
    return ray === undefined ? [] : [{ onPlaneMm: plateMm[i] ?? ([0, 0] as const), atPx: ray.atPx }]
  })
  const found = poseOfPlane(spots, { focalPx, middlePx })
  if (found === null) throw new Error('no pose')
  const origin = turnedBy(pose.turn, corner).map((v, k) => v + (pose.moveMm[k] ?? 0))
  found.moveMm.forEach((v, k) => {
    expect(v).toBeCloseTo(origin[k] ?? 0, 2)
  })
  expect(poseOfPlane(spots.slice(0, 3), { focalPx, middlePx })).toBeNull()
})

test('a turn made from a matrix is that matrix again, half turns too', () => {
  for (const turn of [
    [0, 0, 0],
    [0.3, -0.2, 1.1],
    [Math.PI, 0, 0],
    [0, Math.PI * 0.6, Math.PI * 0.8],
    [1e-10, 0, 0],
  ] as Vec3[]) {
    const columns = (
      [
        [1, 0, 0],
        [0, 1, 0],
        [0, 0, 1],
      ] as Vec3[]
    ).map((axis) => turnedBy(turn, axis))
    const again = turnOfMatrix([0, 1, 2].flatMap((i) => columns.map((column) => column[i] ?? 0)))
    for (const axis of [
      [1, 0, 0],
      [0, 1, 0],
      [0, 0, 1],
    ] as Vec3[])
      turnedBy(again, axis).forEach((v, k) => {
        expect(v).toBeCloseTo(turnedBy(turn, axis)[k] ?? 0, 6)
      })
  }
})

describe('a headlamp', () => {
  const part = lampPart()
  const whole = setOf(part, phone, 3)
  const plateTargets = new Set(part.plate)
  test('photographs that do not see the plate stand by what the others see', () => {
    const photographs = whole.photographs.map(({ seen }, i) => ({
      seen: i % 2 === 1 ? seen.filter(({ target }) => !plateTargets.has(target)) : seen,
    }))
    const found = measured({ ...whole, photographs })
    expect(found?.taken.map(({ photo }) => photo)).toEqual(photographs.map((_, i) => i))
    expect(rms(offBy(part, found?.points ?? []))).toBeLessThan(0.5)
  })
  test('one that sees neither is named and left out; one photograph with the plate alone is nothing', () => {
    const lost = whole.photographs.map((photo, i) => (i === 5 ? { seen: photo.seen.slice(0, 3) } : photo))
    expect(measured({ ...whole, photographs: lost })?.unplaced).toEqual([5])
    const blind = whole.photographs.map(({ seen }, i) => ({
      seen: i === 0 ? seen : seen.filter(({ target }) => !plateTargets.has(target)),
    }))
    expect(measured({ ...whole, photographs: blind })).toBeNull()
  })
  test('a photograph during which the hand turned is found by itself and left out', () => {
    const shaken = setOf(part, { ...phone, shakeRadPerS: 0.15 }, 9)
    const photographs = whole.photographs.map((photo, i) => (i === 4 ? (shaken.photographs[4] ?? photo) : photo))
    const found = measured({ ...whole, photographs })
    expect(found?.shaken).toEqual([4])
    expect(found?.taken.some(({ photo }) => photo === 4)).toBe(false)
    expect(rms(offBy(part, found?.points ?? []))).toBeLessThan(0.5)
  })
  test('all of them shaken: too few would be left, which is told and not passed over', () => {
    const found = measured(setOf(part, { ...phone, shakeRadPerS: 0.2 }, 9))
    if (found === null) throw new Error('nothing was measured')
    expect(found.taken.length).toBeGreaterThan(0)
    expect(suretyOf(found).problem).toBe('shaken')
  })
  test('nobody has to know the focal length: a quarter more or less than the maker says comes out the same', () => {
    for (const times of [0.75, 1.3]) {
      const found = measured(setOf(part, phone, 3, undefined, times))
      expect(rms(offBy(part, found?.points ?? []))).toBeLessThan(0.5)
    }
  })
  test('a photograph by another camera, or a zoomed one, does not pass: it is left out, or they do not agree and it is named', () => {
    const withZoomed = (times: number) => {
      const photographs = whole.photographs.map(({ seen }, i) => ({
        seen:
          i !== 7
            ? seen
            : seen.map(({ target, atPx: [x, y] }) => ({
                target,
                atPx: [middlePx[0] + times * (x - middlePx[0]), middlePx[1] + times * (y - middlePx[1])] as const,
              })),
      }))
      const found = measured({ ...whole, photographs })
      if (found === null) throw new Error('nothing was measured')
      return found
    }
    for (const times of [1.02, 0.8])
      expect(suretyOf(withZoomed(times))).toMatchObject({ problem: 'do not agree', agreesLeast: 7 })
    expect(withZoomed(1.1).shaken).toEqual([7])
  })
})
