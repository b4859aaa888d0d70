import type { Vec2 } from '../geometry/index.ts'
import { done, failure, type Result, refused } from '../result/index.ts'
import type { FormDoc, MeasuredSpot } from './formTypes.ts'
import { outlineOfTargets } from './outlineOfTargets.ts'
import { planeThrough } from './planeThrough.ts'
import type { Spot3 } from './scan.ts'

/** A point of a part in space, from photographs. */
export interface PointInSpace {
  readonly name: string
  readonly at: Spot3
  readonly sigmaMm: Spot3
}

/** How a drawing lies in space: a spot of it is its origin, so far along x, y and z. */
export interface DrawingInSpace {
  readonly origin: Spot3
  readonly x: Spot3
  readonly y: Spot3
  readonly z: Spot3
}

export interface PointsAsForm extends Pick<FormDoc, 'start' | 'outline' | 'edges'> {
  readonly spots: readonly MeasuredSpot[]
}

/** How targets were stuck. */
export interface StuckTargets {
  /** Half the size of their paper: those of the rim touch the edge with it, mm. */
  readonly paperMm: number
}

/** Fewer tell no rim. */
const leastRim = 3

/**
 * A part seen straight on: onto the plane that lies nearest to all its points, with `right` to the right and the eye where `towards` points. Can be
 * refused: `POINTS_IN_LINE`.
 */
export function drawingOfPoints(points: readonly Spot3[], right: Spot3, towards: Spot3): Result<DrawingInSpace> {
  const { middle, normal, spread } = planeThrough(points)
  if (points.length < leastRim || spread[1] < 1e-4 * spread[2]) return refused(failure('POINTS_IN_LINE', {}))
  const facing = dot(normal, towards) < 0 ? -1 : 1
  const z = normal.map((v) => facing * v)
  const flat = right.map((v, k) => v - dot(right, z) * (z[k] ?? 0))
  const long = Math.hypot(...flat)
  if (long < 1e-6) return refused(failure('POINTS_IN_LINE', {}))
  const x = flat.map((v) => v / long)
  return done({ origin: middle, x: asSpot(x), y: asSpot(cross(z, x)), z: asSpot(z) })
}

/** Where a point in space lies in a drawing, and how high above it. */
export function seenInDrawing(
  { origin, x, y, z }: DrawingInSpace,
  at: Spot3,
): { readonly at: Vec2; readonly heightMm: number } {
  const off = at.map((v, k) => v - (origin[k] ?? 0))
  return { at: [round(dot(off, x)), round(dot(off, y))], heightMm: round(dot(off, z)) }
}

/** The point in space that lies so high above a spot of a drawing. */
export const inSpaceOf = ({ origin, x, y, z }: DrawingInSpace, [u, v]: Vec2, heightMm: number): Spot3 =>
  asSpot(origin.map((o, k) => o + u * (x[k] ?? 0) + v * (y[k] ?? 0) + heightMm * (z[k] ?? 0)))

/**
 * Points of a part as a form: its outline runs along the points of the rim in their order, all of them are spots. Can be refused: `RIM_TOO_SHORT`.
 */
export function formFromPoints(
  points: readonly PointInSpace[],
  rim: readonly string[],
  inSpace: DrawingInSpace,
  { paperMm }: StuckTargets = { paperMm: 0 },
): Result<PointsAsForm> {
  const byName = new Map(points.map((point) => [point.name, point]))
  const around = rim.flatMap((name) => byName.get(name) ?? [])
  if (around.length < leastRim) return refused(failure('RIM_TOO_SHORT', { points: around.length, least: leastRim }))
  return done({
    ...outlineOfTargets(
      around.map(({ at }) => seenInDrawing(inSpace, at).at),
      paperMm,
    ),
    spots: points.map(
      ({ name, at, sigmaMm }): MeasuredSpot => ({
        name,
        ...seenInDrawing(inSpace, at),
        // Along z alone: how far it is off along the drawing shifts it, and on a form that is no steep wall changes little.
        sigmaMm: Math.max(
          leastSigmaMm,
          Math.sqrt(inSpace.z.reduce((sum, v, k) => sum + (v * (sigmaMm[k] ?? 0)) ** 2, 0)),
        ),
      }),
    ),
  })
}

const asSpot = (v: readonly number[]): Spot3 => [v[0] ?? 0, v[1] ?? 0, v[2] ?? 0]
/** Nobody sticks a target flatter than this, mm. */
const leastSigmaMm = 0.05
const round = (v: number) => Math.round(100 * v) / 100
const dot = (a: readonly number[], b: readonly number[]) => a.reduce((sum, v, k) => sum + v * (b[k] ?? 0), 0)
const cross = (a: readonly number[], b: readonly number[]): number[] => {
  const at = (v: readonly number[], k: number) => v[k] ?? 0
  return [0, 1, 2].map((k) => {
    const [i, j] = [(k + 1) % 3, (k + 2) % 3]
    return at(a, i) * at(b, j) - at(a, j) * at(b, i)
  })
}
