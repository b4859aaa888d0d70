import { Matrix, solve } from 'ml-matrix'
import type { Vec2 } from '../geometry/index.ts'
import { type Inner, inCamera, type Pose, seenAt, turnedBy, turnOfMatrix, type Vec3 } from './camera.ts'

/** A spot in space and where it is seen. */
export interface SeenSpot {
  readonly at: Vec3
  readonly atPx: Vec2
}

const plainLens = { radial: [0, 0, 0], tangential: [0, 0] } as const
/** Fewer leave more than one stand. */
const leastSpots = 5
/** A lens that is not known yet bends a picture by a hundredth of its focal length; a wrong stand misses by far more. */
const mayMiss = 0.03
const mostSteps = 40
const slopes = [1e-6, 1e-6, 1e-6, 1e-3, 1e-3, 1e-3]

/**
 * From where known spots were photographed: from each of the stands that are tried, held in each of four ways, by Gauss and Newton; the one that
 * misses least. Null where fewer than five are seen or none fits.
 */
export function resected(spots: readonly SeenSpot[], inner: Inner, tried: readonly Pose[]): Pose | null {
  if (spots.length < leastSpots) return null
  let best: Pose | null = null
  let least = mayMiss * inner.focalPx
  for (const pose of tried)
    for (let quarter = 0; quarter < 4; quarter++) {
      const found = nearest(spots, inner, rolled(pose, (quarter * Math.PI) / 2))
      if (found === null || found.missPx >= least) continue
      least = found.missPx
      best = found.pose
    }
  return best
}

/** The same stand with the camera turned about the way it looks. */
function rolled({ turn, moveMm }: Pose, angle: number): Pose {
  const axes = (
    [
      [1, 0, 0],
      [0, 1, 0],
      [0, 0, 1],
    ] as Vec3[]
  ).map((axis) => turnedBy([0, 0, angle], turnedBy(turn, axis)))
  return {
    turn: turnOfMatrix([0, 1, 2].flatMap((i) => axes.map((axis) => axis[i] ?? 0))),
    moveMm: turnedBy([0, 0, angle], moveMm),
  }
}

function nearest(spots: readonly SeenSpot[], inner: Inner, start: Pose): { pose: Pose; missPx: number } | null {
  let x = [...start.turn, ...start.moveMm]
  let miss = missOf(x, spots, inner)
  let damping = 1e-2
  for (let k = 0; k < mostSteps && miss !== null; k++) {
    const now = miss
    const columns = x.map((value, i) => {
      const step = slopes[i] ?? 1e-3
      const more = missOf(
        x.map((v, j) => (j === i ? value + step : v)),
        spots,
        inner,
      )
      return more === null ? null : more.map((v, r) => (v - (now[r] ?? 0)) / step)
    })
    if (columns.some((column) => column === null)) return null
    const j = new Matrix(columns as number[][]).transpose()
    const normal = j.transpose().mmul(j)
    for (let i = 0; i < 6; i++) normal.set(i, i, normal.get(i, i) * (1 + damping) + 1e-12)
    const step = solve(normal, j.transpose().mmul(Matrix.columnVector(now)).mul(-1)).to1DArray()
    const next = x.map((v, i) => v + (step[i] ?? 0))
    const then = missOf(next, spots, inner)
    if (then === null || squares(then) >= squares(now)) {
      if (damping > 1e4) break
      damping *= 10
      continue
    }
    const gain = squares(now) - squares(then)
    x = next
    miss = then
    damping = Math.max(1e-9, damping / 10)
    if (gain < 1e-9 * squares(now)) break
  }
  return miss === null ? null : { pose: poseOf(x), missPx: Math.sqrt(squares(miss) / spots.length) }
}

const squares = (values: readonly number[]) => values.reduce((sum, v) => sum + v * v, 0)

const poseOf = (x: readonly number[]): Pose => ({
  turn: [x[0] ?? 0, x[1] ?? 0, x[2] ?? 0],
  moveMm: [x[3] ?? 0, x[4] ?? 0, x[5] ?? 0],
})

/** By how much each spot is missed, px; null where one lies behind the camera. */
function missOf(x: readonly number[], spots: readonly SeenSpot[], inner: Inner): number[] | null {
  const pose = poseOf(x)
  const missed: number[] = []
  for (const { at, atPx } of spots) {
    const there = inCamera(pose, at)
    if (there[2] <= 1) return null
    const [u, v] = seenAt(plainLens, inner, there)
    missed.push(u - atPx[0], v - atPx[1])
  }
  return missed
}
