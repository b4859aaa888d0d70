import { Matrix } from 'ml-matrix'
import { planeThrough } from '../form/index.ts'
import { usualPriors } from './bundle.ts'
import type { Vec3 } from './camera.ts'
import { leastRays, type Measured, measured } from './measured.ts'
import type { PhotoSet } from './photographs.ts'
import { type MeasuredSurety, suretyOf } from './photoSet.ts'
import { type KnownPoint, nextStand, type Stand } from './nextStand.ts'
import { middleOf } from './rigid.ts'
import { lookingAt } from './stand.ts'

/** On which side of the part somebody stands who looks at it: the plate's, or opposite, or to the left or right of who stands at the plate. */
export const sides = [
  'at the plate',
  'right of the plate',
  'right',
  'far right',
  'opposite the plate',
  'far left',
  'left',
  'left of the plate',
] as const
export type Side = (typeof sides)[number]

/** From where the next photograph tells most. */
export interface NextPhotograph {
  readonly from: Vec3
  readonly side: Side
  /** How high the camera stands above the part, as an angle from its middle. */
  readonly heightDeg: number
  /** The least sure point now, and as it would be then: one standard deviation in space, mm. */
  readonly worstNowMm: number
  readonly worstThenMm: number
}

/** What photographs that were taken so far tell, and which one to take next. */
export interface Guidance {
  /** Targets that two photographs see at least, against the plate; with fewer than three rays they are not used yet. */
  readonly points: readonly {
    readonly target: number
    readonly at: Vec3
    readonly rays: number
    readonly sigmaMm: number
  }[]
  /** Seen once only. */
  readonly seenOnce: readonly number[]
  readonly taken: readonly { readonly photo: number; readonly from: Vec3 }[]
  readonly unplaced: readonly number[]
  readonly next: NextPhotograph | null
  /** Of what is there now. */
  readonly surety: MeasuredSurety
}

const stepsRound = 16
const heightsDeg = [25, 45, 70] as const
/** So many neighbours show how the part lies at a target. */
const neighbours = 6

/** Where to stand next, from what was seen so far; null until two photographs see the plate. */
export function guided(set: PhotoSet): Guidance | null {
  const found = measured(set, usualPriors, 2)
  if (found === null) return null
  return {
    points: found.points.map(({ target, atMm, rays, sigmaMm }) => ({
      target,
      at: atMm,
      rays,
      sigmaMm: Math.hypot(...sigmaMm),
    })),
    seenOnce: found.tooFewRays,
    taken: found.taken.map(({ photo, from }) => ({ photo, from })),
    unplaced: found.unplaced,
    next: nextPhotograph(found, set),
    surety: suretyOf(found),
  }
}

/** Of stands all round, as far away as the others, the one that makes the least sure point surest. */
export function nextPhotograph({ points, taken }: Measured, set: PhotoSet): NextPhotograph | null {
  const [first] = taken
  const known = points.flatMap(({ atMm, covarianceMm2 }): KnownPoint[] =>
    covarianceMm2 === null ? [] : [{ at: atMm, covarianceMm2: Matrix.from1DArray(3, 3, [...covarianceMm2]) }],
  )
  if (first === undefined || known.length < leastRays) return null
  const middle = middleOf(known.map(({ at }) => at))
  const eye = middleOf(taken.map(({ from }) => from))
  const far = medianOf(taken.map(({ from }) => Math.hypot(...less(from, middle))))
  const normals = known.map(({ at }) => normalAt(at, known, eye))
  const stands = Array.from({ length: stepsRound }, (_, k) => (2 * Math.PI * k) / stepsRound).flatMap((around) =>
    heightsDeg.flatMap((heightDeg): (Stand & { readonly heightDeg: number })[] => {
      const high = (heightDeg * Math.PI) / 180
      const from: Vec3 = [
        middle[0] + far * Math.cos(high) * Math.cos(around),
        middle[1] + far * Math.cos(high) * Math.sin(around),
        middle[2] + far * Math.sin(high),
      ]
      return [0, Math.PI / 2].map((roll) => ({ from, heightDeg, pose: lookingAt(from, middle, roll) }))
    }),
  )
  const best = nextStand(known, normals, stands, first.inner, usualPriors.rayPx)
  if (best === null || best.sees === 0) return null
  const chosen = stands.find(({ pose }) => pose === best.stand.pose)
  return {
    from: best.stand.from,
    side: sideOf(best.stand.from, middle, plateMiddle(set)),
    heightDeg: chosen?.heightDeg ?? 0,
    worstNowMm: best.worstNowMm,
    worstThenMm: best.worstThenMm,
  }
}

const less = (a: Vec3, b: Vec3): Vec3 => [a[0] - b[0], a[1] - b[1], a[2] - b[2]]

function medianOf(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b)
  return sorted[Math.floor(sorted.length / 2)] ?? 0
}

const plateMiddle = ({ plate }: PhotoSet): Vec3 => middleOf([...plate.values()].map(([x, y]): Vec3 => [x, y, 0]))

/** In eighths of a turn from the plate, counter-clockwise seen from above: to the right of who stands at the plate and looks at the part. */
export function sideOf(from: Vec3, middle: Vec3, plate: Vec3): Side {
  const turn =
    Math.atan2(from[1] - middle[1], from[0] - middle[0]) - Math.atan2(plate[1] - middle[1], plate[0] - middle[0])
  return sides[Math.round(((turn / (2 * Math.PI) + 2) % 1) * sides.length) % sides.length] ?? sides[0]
}

/** Square to the plane through the nearest points, towards those who looked. */
function normalAt(at: Vec3, known: readonly KnownPoint[], eye: Vec3): Vec3 {
  const near = known
    .map((point) => ({ point: point.at, far: Math.hypot(...less(point.at, at)) }))
    .sort((a, b) => a.far - b.far)
    .slice(0, neighbours + 1)
    .map(({ point }) => point)
  const { normal: n } = planeThrough(near)
  const to = less(eye, at)
  const sign = n[0] * to[0] + n[1] * to[1] + n[2] * to[2] < 0 ? -1 : 1
  return [sign * n[0], sign * n[1], sign * n[2]]
}
