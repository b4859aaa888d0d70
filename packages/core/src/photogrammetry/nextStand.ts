import { inverse, Matrix } from 'ml-matrix'
import { inCamera, type Inner, type Pose, seenAt, type Vec3 } from './camera.ts'

/** What is known of a point: where it is, and how sure. */
export interface KnownPoint {
  readonly at: Vec3
  /** 3 x 3, mm². */
  readonly covarianceMm2: Matrix
}

export interface Stand {
  readonly from: Vec3
  readonly pose: Pose
}

/** From where a further photograph would tell most. */
export interface NextStand {
  readonly stand: Stand
  /** The least sure point now, and as it would be then: one standard deviation in space, mm. */
  readonly worstNowMm: number
  readonly worstThenMm: number
  /** How many of the points it would see. */
  readonly sees: number
}

/** A ray of a photograph whose own stand has to be found as well tells a little less. */
const standCosts = 1.4
/** Film is not read more slantingly than this: a target is too flat then. */
const mostSlant = Math.cos((72 * Math.PI) / 180)

/**
 * Of possible stands the one after which the least sure point is surest. Each point takes the ray's information by itself (its covariance
 * beside those of other points is left out), so it ranks stands; the surety itself comes from the next adjustment.
 */
export function nextStand(
  points: readonly KnownPoint[],
  normals: readonly Vec3[],
  stands: readonly Stand[],
  inner: Inner,
  rayPx: number,
): NextStand | null {
  const now = points.map(({ covarianceMm2 }) => sigmaOf(covarianceMm2))
  const worstNowMm = Math.max(0, ...now)
  let best: NextStand | null = null
  let bestSum = Infinity
  for (const stand of stands) {
    let sees = 0
    const then = points.map((point, i) => {
      const normal = normals[i] ?? [0, 0, 1]
      if (!isSeen(point.at, normal, stand, inner)) return now[i] ?? 0
      sees++
      return sigmaOf(withRay(point, stand.pose, inner, standCosts * rayPx))
    })
    const worstThenMm = Math.max(0, ...then)
    // Of stands that leave the worst alike, the one after which all are surer.
    const sum = then.reduce((all, one) => all + one * one, 0)
    const better =
      best === null || worstThenMm < best.worstThenMm - 1e-9 || (worstThenMm < best.worstThenMm + 1e-9 && sum < bestSum)
    if (!better) continue
    best = { stand, worstNowMm, worstThenMm, sees }
    bestSum = sum
  }
  return best
}

const sigmaOf = (covariance: Matrix) => Math.sqrt(Math.max(0, covariance.trace()))

function isSeen(at: Vec3, normal: Vec3, { from, pose }: Stand, inner: Inner): boolean {
  const to: Vec3 = [from[0] - at[0], from[1] - at[1], from[2] - at[2]]
  const far = Math.hypot(...to)
  if (to[0] * normal[0] + to[1] * normal[1] + to[2] * normal[2] < mostSlant * far) return false
  const there = inCamera(pose, at)
  if (there[2] <= 0) return false
  const [u, v] = seenAt(plainLens, inner, there)
  return u > 0 && v > 0 && u < 2 * inner.middlePx[0] && v < 2 * inner.middlePx[1]
}

const plainLens = { radial: [0, 0, 0], tangential: [0, 0] } as const

/** The covariance of a point after one more ray. */
function withRay({ at, covarianceMm2 }: KnownPoint, pose: Pose, inner: Inner, rayPx: number): Matrix {
  const step = 0.01
  const seen = (p: Vec3) => seenAt(plainLens, inner, inCamera(pose, p))
  const slopes = [0, 1, 2].map((k) => {
    const moved = at.map((value, i) => (i === k ? value + step : value)) as [number, number, number]
    const [a, b] = [seen(moved), seen(at)]
    return [(a[0] - b[0]) / step, (a[1] - b[1]) / step]
  })
  const j = new Matrix([0, 1].map((row) => slopes.map((slope) => slope[row] ?? 0)))
  // Kalman's form: nothing is inverted but two by two.
  const onto = covarianceMm2.mmul(j.transpose())
  const room = j.mmul(onto).add(Matrix.eye(2).mul(rayPx * rayPx))
  return Matrix.sub(covarianceMm2, onto.mmul(inverse(room)).mmul(onto.transpose()))
}
