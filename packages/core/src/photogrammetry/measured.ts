import { Matrix, SingularValueDecomposition } from 'ml-matrix'
import {
  type Adjusted,
  adjusted,
  type KnownLength,
  type Network,
  type Priors,
  type Ray,
  usualPriors,
} from './bundle.ts'
import { type Inner, type Pose, turnedBy, type Vec3 } from './camera.ts'
import { type OnPlane, poseOfPlane } from './platePose.ts'
import type { Vec2 } from '../geometry/index.ts'

export interface Photograph {
  /** Targets by their number. */
  readonly seen: readonly { readonly target: number; readonly atPx: Vec2 }[]
}

/** A bar with a target at each end. */
export interface Bar {
  readonly targets: readonly [number, number]
  readonly lengthMm: number
}

export interface PhotoSet {
  readonly photographs: readonly Photograph[]
  /** What the maker of the camera says. */
  readonly inner: Inner
  /** Targets of the start plate with their places on it, mm. */
  readonly plate: ReadonlyMap<number, Vec2>
  /** The first gives the scale, the others check it. */
  readonly bars: readonly Bar[]
}

/** A target in space. */
export interface MeasuredPoint {
  readonly target: number
  /** Against the plate: x and y along it, z off it, mm. */
  readonly atMm: Vec3
  /** One standard deviation along each, mm. */
  readonly sigmaMm: Vec3
  readonly rays: number
}

export interface Measured {
  readonly points: readonly MeasuredPoint[]
  readonly poses: readonly Pose[]
  /** Rays that missed by more than chance. */
  readonly rejected: readonly { readonly photo: number; readonly target: number; readonly missPx: number }[]
  readonly rmsPx: number
  /** By how much each bar after the first is longer than it should be, a share. */
  readonly barsOff: readonly number[]
  /** Seen in fewer than three photographs: left out. */
  readonly tooFewRays: readonly number[]
}

export const leastRays = 3
/** A ray that misses by more is none of this target. */
const rejectSigma = 4.5
const rounds = 6
/** How well the ends of a bar are known, a share of its length. */
const barShare = 0.0002

/** Everything from rays alone; null where no two photographs see the plate. */
export function measured(set: PhotoSet, priors: Priors = usualPriors): Measured | null {
  const start = started(set)
  if (start === null) return null
  const { targets, tooFewRays } = start
  const index = new Map(targets.map((target, i) => [target, i]))
  let rays = raysOf(set, index)
  const [scale] = set.bars
  const lengths = scale === undefined ? [] : known(scale, index)
  let network = start.network
  const rejected: { photo: number; target: number; missPx: number }[] = []
  let found: Adjusted = adjusted(network, rays, lengths, priors)
  for (let round = 0; round < rounds; round++) {
    const typical = Math.max(priors.rayPx / 3, 1.2 * median(found.missPx) * 0.8)
    const bad = rays.filter((_, i) => (found.missPx[i] ?? 0) > rejectSigma * typical)
    if (bad.length === 0) break
    for (const ray of bad)
      rejected.push({ photo: ray.photo, target: targets[ray.point] ?? 0, missPx: found.missPx[rays.indexOf(ray)] ?? 0 })
    const left = rays.filter((ray) => !bad.includes(ray))
    // No target is thrown away for it: what is left with too few is told, as unsure as it then is.
    rays = left
    network = found.network
    found = adjusted(network, rays, lengths, priors)
  }
  const rmsPx = Math.sqrt(found.missPx.reduce((sum, miss) => sum + miss * miss, 0) / Math.max(1, 2 * rays.length))
  const covariance = found.covarianceMm2()
  const factor = Math.max(1, rmsPx / priors.rayPx) ** 2
  const home = ontoPlate(found.network.points, targets, set.plate)
  const counts = countsOf(rays, targets.length)
  return {
    points: targets.map((target, i) => {
      const own = covariance === null ? null : covariance.subMatrix(3 * i, 3 * i + 2, 3 * i, 3 * i + 2)
      return {
        target,
        atMm: home.place(found.network.points[i] ?? [0, 0, 0]),
        sigmaMm: own === null ? [Infinity, Infinity, Infinity] : home.sigma(own, factor),
        rays: counts[i] ?? 0,
      }
    }),
    poses: found.network.poses,
    rejected,
    rmsPx,
    barsOff: set.bars.slice(1).flatMap((bar) => {
      const [a, b] = bar.targets.map((target) => found.network.points[index.get(target) ?? -1])
      return a === undefined || b === undefined ? [] : [distance3(a, b) / bar.lengthMm - 1]
    }),
    tooFewRays,
  }
}

const distance3 = (a: Vec3, b: Vec3) => Math.hypot(a[0] - b[0], a[1] - b[1], a[2] - b[2])

function median(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b)
  return sorted[Math.floor(sorted.length / 2)] ?? 0
}

const known = ({ targets, lengthMm }: Bar, index: ReadonlyMap<number, number>): KnownLength[] => {
  const [a, b] = targets.map((target) => index.get(target))
  return a === undefined || b === undefined ? [] : [{ points: [a, b], lengthMm, sigmaMm: barShare * lengthMm }]
}

const raysOf = ({ photographs }: PhotoSet, index: ReadonlyMap<number, number>): Ray[] =>
  photographs.flatMap(({ seen }, photo) =>
    seen.flatMap(({ target, atPx }) => {
      const point = index.get(target)
      return point === undefined ? [] : [{ photo, point, atPx }]
    }),
  )

function countsOf(rays: readonly Ray[], points: number): number[] {
  const counts = new Array<number>(points).fill(0)
  for (const { point } of rays) counts[point] = (counts[point] ?? 0) + 1
  return counts
}

/** Photographs stand by the plate, targets by where their rays come nearest to each other. */
function started(set: PhotoSet): { network: Network; targets: number[]; tooFewRays: number[] } | null {
  const poses = set.photographs.map(({ seen }) => {
    const spots = seen.flatMap(({ target, atPx }): OnPlane[] => {
      const onPlaneMm = set.plate.get(target)
      return onPlaneMm === undefined ? [] : [{ onPlaneMm, atPx }]
    })
    return poseOfPlane(spots, set.inner)
  })
  if (poses.some((pose) => pose === null)) return null
  const stands = poses as Pose[]
  const seenBy = new Map<number, { photo: number; atPx: Vec2 }[]>()
  set.photographs.forEach(({ seen }, photo) => {
    for (const { target, atPx } of seen) seenBy.set(target, [...(seenBy.get(target) ?? []), { photo, atPx }])
  })
  const enough = [...seenBy].filter(([, rays]) => rays.length >= leastRays).sort((a, b) => a[0] - b[0])
  const points = enough.map(([, rays]) =>
    nearestToRays(rays.map(({ photo, atPx }) => rayOf(stands[photo] as Pose, set.inner, atPx))),
  )
  return {
    targets: enough.map(([target]) => target),
    tooFewRays: [...seenBy].filter(([, rays]) => rays.length < leastRays).map(([target]) => target),
    network: {
      lens: { radial: [0, 0, 0], tangential: [0, 0] },
      inner: set.inner,
      own: [],
      poses: stands,
      points,
    },
  }
}

interface SpaceRay {
  readonly from: Vec3
  readonly way: Vec3
}

function rayOf({ turn, moveMm }: Pose, { focalPx, middlePx }: Inner, atPx: Vec2): SpaceRay {
  const back: Vec3 = [-turn[0], -turn[1], -turn[2]]
  const from = turnedBy(back, [-moveMm[0], -moveMm[1], -moveMm[2]])
  const way = turnedBy(back, [(atPx[0] - middlePx[0]) / focalPx, (atPx[1] - middlePx[1]) / focalPx, 1])
  const long = Math.hypot(...way)
  return { from, way: [way[0] / long, way[1] / long, way[2] / long] }
}

/** The spot whose distances from the rays, squared, add up to least. */
function nearestToRays(rays: readonly SpaceRay[]): Vec3 {
  const m = Matrix.zeros(3, 3)
  const right = Matrix.zeros(3, 1)
  for (const { from, way } of rays)
    for (let i = 0; i < 3; i++)
      for (let j = 0; j < 3; j++) {
        const off = (i === j ? 1 : 0) - (way[i] ?? 0) * (way[j] ?? 0)
        m.set(i, j, m.get(i, j) + off)
        right.set(i, 0, right.get(i, 0) + off * (from[j] ?? 0))
      }
  const svd = new SingularValueDecomposition(m)
  const p = svd.solve(right).to1DArray()
  return [p[0] ?? 0, p[1] ?? 0, p[2] ?? 0]
}

/** Turns and moves everything so that the plate's targets lie where they are on the plate (Kabsch 1976). */
function ontoPlate(points: readonly Vec3[], targets: readonly number[], plate: ReadonlyMap<number, Vec2>) {
  const pairs = targets.flatMap((target, i) => {
    const at = plate.get(target)
    const p = points[i]
    return at === undefined || p === undefined ? [] : [{ p, q: [at[0], at[1], 0] as Vec3 }]
  })
  const mean = (of: 'p' | 'q') =>
    [0, 1, 2].map((k) => pairs.reduce((sum, pair) => sum + (pair[of][k] ?? 0), 0) / pairs.length)
  const [mp, mq] = [mean('p'), mean('q')]
  const h = Matrix.zeros(3, 3)
  for (const { p, q } of pairs)
    for (let i = 0; i < 3; i++)
      for (let j = 0; j < 3; j++) h.set(i, j, h.get(i, j) + ((q[i] ?? 0) - (mq[i] ?? 0)) * ((p[j] ?? 0) - (mp[j] ?? 0)))
  const svd = new SingularValueDecomposition(h)
  const [u, v] = [svd.leftSingularVectors, svd.rightSingularVectors]
  const turn0 = u.mmul(v.transpose())
  const flip = Matrix.diag([1, 1, determinant3(turn0) < 0 ? -1 : 1])
  const turn = u.mmul(flip).mmul(v.transpose())
  return {
    place: (p: Vec3): Vec3 => {
      const moved = turn.mmul(Matrix.columnVector(p.map((value, k) => value - (mp[k] ?? 0)))).to1DArray()
      return [0, 1, 2].map((k) => (moved[k] ?? 0) + (mq[k] ?? 0)) as never as Vec3
    },
    sigma: (own: Matrix, factor: number): Vec3 => {
      const here = turn.mmul(own).mmul(turn.transpose())
      return [0, 1, 2].map((k) => Math.sqrt(Math.max(0, factor * here.get(k, k)))) as never as Vec3
    },
  }
}

const determinant3 = (m: Matrix) => {
  const a = (i: number, j: number) => m.get(i, j)
  return (
    a(0, 0) * (a(1, 1) * a(2, 2) - a(1, 2) * a(2, 1)) -
    a(0, 1) * (a(1, 0) * a(2, 2) - a(1, 2) * a(2, 0)) +
    a(0, 2) * (a(1, 0) * a(2, 1) - a(1, 1) * a(2, 0))
  )
}
