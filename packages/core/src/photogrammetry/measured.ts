import { Matrix } from 'ml-matrix'
import type { Vec2 } from '../geometry/index.ts'
import {
  type Adjusted,
  adjusted,
  type KnownLength,
  type Network,
  type Priors,
  type Ray,
  usualPriors,
} from './bundle.ts'
import { type Inner, type Lens, type Pose, turnedBy, turnOfMatrix, type Vec3 } from './camera.ts'
import type { Bar, PhotoSet } from './photographs.ts'
import { apart, type Rigid, rigidOnto } from './rigid.ts'
import { standOf, started } from './start.ts'

/** A target in space. */
export interface MeasuredPoint {
  readonly target: number
  /** Against the plate: x and y along it, z off it, mm. */
  readonly atMm: Vec3
  /** One standard deviation along each, mm. */
  readonly sigmaMm: Vec3
  /** How it hangs together, row by row, mm²; null where its rays do not tell. */
  readonly covarianceMm2: readonly number[] | null
  readonly rays: number
}

/** A photograph as it was taken, against the plate. */
export interface Taken {
  /** Its number in the set. */
  readonly photo: number
  readonly from: Vec3
  readonly pose: Pose
  readonly inner: Inner
  /** How far the hand turned while the picture was read, rad. */
  readonly spinRad: number
}

export interface Measured {
  readonly points: readonly MeasuredPoint[]
  readonly taken: readonly Taken[]
  readonly lens: Lens
  /** Photographs that see neither the plate nor enough of what others see. */
  readonly unplaced: readonly number[]
  /** Photographs during which the hand turned too fast, or that were zoomed: left out, where enough others are there. */
  readonly shaken: readonly number[]
  /** Rays that missed by more than chance. */
  readonly rejected: readonly { readonly photo: number; readonly target: number; readonly missPx: number }[]
  readonly rmsPx: number
  /** Whether a bar that was seen gives the scale. */
  readonly scaled: boolean
  /** By how much each further bar that was seen is longer than it should be, a share. */
  readonly barsOff: readonly { readonly targets: Bar['targets']; readonly share: number }[]
  /** Seen in fewer photographs than are asked for: left out. */
  readonly tooFewRays: readonly number[]
}

export const leastRays = 3
/** A ray that misses by more is none of this target. */
const rejectSigma = 4.5
/** Spread of rays along one axis over the median of how far they miss: 0.85 were they normal; a little more, so that good ones stay. */
const spreadOfMedian = 0.96
const rounds = 6
/** How well the ends of a bar are known, a share of its length. */
const barShare = 0.0002
/** A hand that turns by so many of its usual turns has shaken the picture: 0.03 rad/s come out at 1.8 at most, 0.1 rad/s at 2 to 5. */
const shakenSigma = 2.2
/** With fewer photographs a turn of the hand cannot be told from a turn of the part. */
const shakeToldFrom = 6

/**
 * Everything from rays alone. Photographs during which the hand turned are left out where enough others are there, and it is all worked out again. Null where no two
 * photographs see the plate, or fewer than three targets are seen by enough of them.
 */
export function measured(set: PhotoSet, priors: Priors = usualPriors, least: number = leastRays): Measured | null {
  const first = settled(set, priors, least)
  if (first === null) return null
  const shaken = first.taken
    .filter(({ spinRad }) => spinRad > shakenSigma * priors.ownSpinRad)
    .map(({ photo }) => photo)
  if (shaken.length === 0 || first.taken.length < shakeToldFrom) return first
  if (first.taken.length - shaken.length < shakeToldFrom) return { ...first, shaken }
  const still = set.photographs.map((photo, i) => (shaken.includes(i) ? { seen: [] } : photo))
  const again = settled({ ...set, photographs: still }, priors, least)
  return again === null ? first : { ...again, unplaced: first.unplaced, shaken }
}

function settled(set: PhotoSet, priors: Priors, least: number): Measured | null {
  const start = started(set, least)
  if (start === null || start.targets.length < 3) return null
  const { targets, photos } = start
  const index = new Map(targets.map((target, i) => [target, i]))
  let rays = raysOf(set, photos, index)
  const seenBars = set.bars.filter(({ targets: ends }) => ends.every((end) => index.has(end)))
  const [scale] = seenBars
  const lengths = scale === undefined ? [] : known(scale, index)
  let network = start.network
  const rejected: { photo: number; target: number; missPx: number }[] = []
  let found: Adjusted = adjusted(network, rays, lengths, priors)
  for (let round = 0; round < rounds; round++) {
    const typical = Math.max(priors.rayPx / 3, spreadOfMedian * median(found.missPx))
    const isBad = found.missPx.map((miss) => miss > rejectSigma * typical)
    if (!isBad.includes(true)) break
    rays.forEach((ray, i) => {
      if (isBad[i] === true)
        rejected.push({ photo: photos[ray.photo] ?? 0, target: targets[ray.point] ?? 0, missPx: found.missPx[i] ?? 0 })
    })
    // No target is thrown away for it: what is left with too few is told, as unsure as it then is.
    rays = rays.filter((_, i) => isBad[i] !== true)
    network = found.network
    found = adjusted(network, rays, lengths, priors)
  }
  const rmsPx = Math.sqrt(found.missPx.reduce((sum, miss) => sum + miss * miss, 0) / Math.max(1, 2 * rays.length))
  const home = ontoPlate(found.network.points, targets, set.plate)
  if (home === null) return null
  const at = (target: number) => found.network.points[index.get(target) ?? -1]
  return {
    points: pointsOf(found, home, targets, rays, Math.max(1, rmsPx / priors.rayPx) ** 2),
    taken: takenOf(found.network, home, photos),
    lens: found.network.lens,
    unplaced: set.photographs.flatMap(({ seen }, i) => (photos.includes(i) || seen.length === 0 ? [] : [i])),
    shaken: [],
    rejected,
    rmsPx,
    scaled: scale !== undefined,
    barsOff: seenBars.slice(1).flatMap(({ targets: ends, lengthMm }) => {
      const [a, b] = [at(ends[0]), at(ends[1])]
      return a === undefined || b === undefined ? [] : [{ targets: ends, share: apart(a, b) / lengthMm - 1 }]
    }),
    tooFewRays: start.tooFewRays,
  }
}

function pointsOf(found: Adjusted, home: Rigid, targets: readonly number[], rays: readonly Ray[], factor: number) {
  const covariance = found.covarianceMm2()
  const counts = new Array<number>(targets.length).fill(0)
  for (const { point } of rays) counts[point] = (counts[point] ?? 0) + 1
  return targets.map((target, i): MeasuredPoint => {
    const own =
      covariance === null
        ? null
        : home.turn
            .mmul(covariance.subMatrix(3 * i, 3 * i + 2, 3 * i, 3 * i + 2))
            .mmul(home.turn.transpose())
            .mul(factor)
    const sigma = (k: number) => (own === null ? Infinity : Math.sqrt(Math.max(0, own.get(k, k))))
    return {
      target,
      atMm: home.place(found.network.points[i] ?? [0, 0, 0]),
      sigmaMm: [sigma(0), sigma(1), sigma(2)],
      covarianceMm2: own === null ? null : own.to1DArray(),
      rays: counts[i] ?? 0,
    }
  })
}

function takenOf({ poses, own, inner }: Network, home: Rigid, photos: readonly number[]): Taken[] {
  return poses.map((pose, i) => {
    const one = own[i]
    return {
      photo: photos[i] ?? 0,
      from: home.place(standOf(pose)),
      pose: seenFromPlate(pose, home),
      inner: {
        focalPx: inner.focalPx + (one?.focalPx ?? 0),
        middlePx: [inner.middlePx[0] + (one?.middlePx[0] ?? 0), inner.middlePx[1] + (one?.middlePx[1] ?? 0)],
      },
      spinRad: Math.hypot(...(one?.spinRad ?? [0, 0, 0])),
    }
  })
}

/** The pose of a photograph for spots that are told against the plate. */
function seenFromPlate(pose: Pose, home: Rigid): Pose {
  const back = home.turn.transpose()
  const axes = [0, 1, 2].map((k) => turnedBy(pose.turn, back.getColumn(k) as never as Vec3))
  const origin = home.place([0, 0, 0])
  const there = turnedBy(pose.turn, back.mmul(Matrix.columnVector([...origin])).to1DArray() as never as Vec3)
  return {
    turn: turnOfMatrix([0, 1, 2].flatMap((i) => axes.map((axis) => axis[i] ?? 0))),
    moveMm: [pose.moveMm[0] - there[0], pose.moveMm[1] - there[1], pose.moveMm[2] - there[2]],
  }
}

function median(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b)
  return sorted[Math.floor(sorted.length / 2)] ?? 0
}

const known = ({ targets, lengthMm }: Bar, index: ReadonlyMap<number, number>): KnownLength[] => {
  const [a, b] = targets.map((target) => index.get(target))
  return a === undefined || b === undefined ? [] : [{ points: [a, b], lengthMm, sigmaMm: barShare * lengthMm }]
}

const raysOf = ({ photographs }: PhotoSet, photos: readonly number[], index: ReadonlyMap<number, number>): Ray[] =>
  photos.flatMap((number, photo) =>
    (photographs[number]?.seen ?? []).flatMap(({ target, atPx }) => {
      const point = index.get(target)
      return point === undefined ? [] : [{ photo, point, atPx }]
    }),
  )

/** Turns and moves everything so that the plate's targets lie where they are on the plate; null where fewer than three are known. */
function ontoPlate(
  points: readonly Vec3[],
  targets: readonly number[],
  plate: ReadonlyMap<number, Vec2>,
): Rigid | null {
  const pairs = targets.flatMap((target, i): { from: Vec3; to: Vec3 }[] => {
    const at = plate.get(target)
    const from = points[i]
    return at === undefined || from === undefined ? [] : [{ from, to: [at[0], at[1], 0] }]
  })
  return pairs.length < 3
    ? null
    : rigidOnto(
        pairs.map(({ from }) => from),
        pairs.map(({ to }) => to),
      )
}
