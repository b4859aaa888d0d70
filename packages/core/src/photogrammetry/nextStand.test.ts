import { Matrix } from 'ml-matrix'
import { describe, expect, test } from 'vitest'
import { turnedBy, type Vec3 } from './camera.ts'
import { type KnownPoint, nextStand, type Stand } from './nextStand.ts'
import { focalPx, lampPart, middlePx, standsRound } from './testPhotos.ts'

const inner = { focalPx, middlePx }
const part = lampPart()
/** From where a photograph was taken: what the camera's own middle is in the part's coordinates. */
function standOf({ turn, moveMm }: Stand['pose']): Vec3 {
  return turnedBy([-turn[0], -turn[1], -turn[2]], [-moveMm[0], -moveMm[1], -moveMm[2]])
}
const stands: Stand[] = standsRound(part, 12).map((pose) => ({ pose, from: standOf(pose) }))
const up: Vec3 = [0, 0, 1]
const pointsWith = (covariance: readonly number[]): KnownPoint[] =>
  part.points.slice(0, 20).map((at) => ({ at, covarianceMm2: Matrix.diag([...covariance]) }))

describe('where to stand next', () => {
  test('all are unsure across: a stand from which that is seen square, not one that looks along it', () => {
    const found = nextStand(
      pointsWith([4, 0.01, 0.01]),
      part.points.map(() => up),
      stands,
      inner,
      0.15,
    )
    if (found === null) throw new Error('no stand')
    // What is unsure along x is seen from the front, from the back or from above.
    expect(Math.abs(found.stand.from[0])).toBeLessThan(0.6 * Math.hypot(found.stand.from[1], found.stand.from[2]))
    expect(found.worstThenMm).toBeLessThan(0.2 * found.worstNowMm)
  })
  test('a further ray never makes anything less sure, and one point that is left is what counts', () => {
    const points = pointsWith([0.01, 0.01, 0.01]).map((point, i) =>
      i === 7 ? { ...point, covarianceMm2: Matrix.diag([0.01, 0.01, 9]) } : point,
    )
    const found = nextStand(
      points,
      part.points.map(() => up),
      stands,
      inner,
      0.15,
    )
    if (found === null) throw new Error('no stand')
    expect(found.worstNowMm).toBeCloseTo(Math.sqrt(9.02), 6)
    expect(found.worstThenMm).toBeLessThan(found.worstNowMm)
    // Height is told by who looks flat.
    const flat = Math.hypot(found.stand.from[0], found.stand.from[1]) / Math.hypot(...found.stand.from)
    expect(flat).toBeGreaterThan(0.6)
  })
  test('what turns away from every stand stays as unsure as it is; without stands there is none', () => {
    const down: Vec3 = [0, 0, -1]
    const found = nextStand(
      pointsWith([1, 1, 1]),
      part.points.map(() => down),
      stands,
      inner,
      0.15,
    )
    expect(found).toMatchObject({ sees: 0, worstNowMm: Math.sqrt(3), worstThenMm: Math.sqrt(3) })
    expect(nextStand(pointsWith([1, 1, 1]), [], [], inner, 0.15)).toBeNull()
  })
})
