import { singularValues2x2 } from '../../numerics/index.ts'
import { type FilmMesh, matrixOf } from '../internal/filmMesh.ts'
import { filmPatch } from '../internal/filmPatch.ts'
import { triangleShape } from '../internal/triangleShape.ts'
import { percentileByArea } from '../shares.ts'
import type { StepPull } from './orderTypes.ts'
import type { RehearsalOptions } from './rehearsalOptions.ts'
import type { PreparedStage } from './stage.ts'

/** Steps of the solver for a pull: enough to see whether a cold one will do, and to settle a warm one; a hand does not pull on until nothing gives. */
const coldSteps = 30
const warmSteps = 40

/** What a stroke lays, and what may move with it. */
export interface Stroke {
  readonly band: readonly number[]
  readonly free: Int32Array
  /** 0 for vertices that do not lie yet. */
  readonly stepOf: Int32Array
  /** Over how much of each triangle it passes, a share. */
  readonly passes: Float64Array
}

/** Lays one stroke in `uv`: at rest first; what is left over then is lifted and pulled by degrees, cold and warm. */
export function layStroke(
  stage: PreparedStage,
  uv: Float64Array,
  { band, free, stepOf, passes }: Stroke,
  use: RehearsalOptions,
): { pull: StepPull | null; lifted: number } {
  const { film, handling } = stage
  const { vertices } = film
  const patch = filmPatch(film, free, (v) => stepOf[v] !== 0)
  const own = ownTriangles(film, patch.triangles, band, stepOf)
  patch.settle(uv)
  if (use.pulls === 'none') return { pull: null, lifted: 0 }
  const leftOver = () => tooMuch(film, uv, patch.triangles, passes, handling.take)
  const lifted = Math.min(1, leftOver() / (2 * use.liftShare))
  if (lifted === 0) return { pull: null, lifted }
  const floating = uv.slice()
  const most = 1 / (1 - handling.take)
  patch.pull(uv, { least: 1 / (1 + handling.coldStretch), most }, coldSteps)
  const warmed = use.pulls === 'cold' ? 0 : Math.min(1, leftOver() / (8 * use.liftShare))
  if (warmed > 0) {
    const stretch = handling.coldStretch * Math.max(1, handling.warmStretch / handling.coldStretch) ** warmed
    patch.pull(uv, { least: 1 / (1 + stretch), most }, warmSteps)
  }
  if (lifted < 1)
    for (const v of free) for (const k of [v, vertices + v]) uv[k] = floating[k]! + lifted * (uv[k]! - floating[k]!)
  return { pull: pullOf(stage, uv, own, handling.coldStretch), lifted }
}

/** Triangles of the patch that the stroke lays with at least a side: its own film, and what it meets. */
function ownTriangles(film: FilmMesh, triangles: Int32Array, band: readonly number[], stepOf: Int32Array): number[] {
  const { corner } = film
  const own = new Set(band)
  const found: number[] = []
  for (const t of triangles) {
    let [laysNow, lies] = [0, 0]
    for (let k = 3 * t; k < 3 * t + 3; k++) {
      if (own.has(corner[k]!)) laysNow++
      else if (stepOf[corner[k]!] !== 0) lies++
    }
    if (laysNow > 0 && laysNow + lies >= 2) found.push(t)
  }
  return found
}

/**
 * Share of the area that a stroke passes over, in some triangles, that has more film than it takes up; a place counts in full when it has twice as
 * much as that, and by degrees between.
 */
function tooMuch(film: FilmMesh, uv: Float64Array, triangles: Int32Array, passes: Float64Array, take: number): number {
  const m = new Float64Array(4)
  const most = 1 / (1 - take)
  const whole = Math.max(take, 1e-3)
  let over = 0
  let all = 0
  for (const t of triangles) {
    const passedMm2 = film.area[t]! * passes[t]!
    if (passedMm2 === 0) continue
    matrixOf(film, uv, t, m, 0)
    const [larger] = singularValues2x2(m[0]!, m[1]!, m[2]!, m[3]!)
    all += passedMm2
    over += passedMm2 * Math.min(1, Math.max(0, (larger - most) / whole))
  }
  return all === 0 ? 0 : over / all
}

/** The pull of a step: its 95th percentile of stretch by area, where, and the mean direction of what is stretched. */
export function pullOf(
  { surface, film }: PreparedStage,
  uv: Float64Array,
  own: readonly number[],
  coldStretch: number,
): StepPull | null {
  if (own.length === 0) return null
  const m = new Float64Array(4)
  const stretchOf = new Float64Array(film.triangles)
  for (const t of own) {
    matrixOf(film, uv, t, m, 0)
    stretchOf[t] = 1 / Math.max(1e-3, singularValues2x2(m[0]!, m[1]!, m[2]!, m[3]!)[1]) - 1
  }
  const most = percentileByArea(film.area, own, (t) => stretchOf[t]!, 0.95).value
  if (most < 0.001) return null
  const flat = new Float64Array(2 * film.vertices)
  for (let v = 0; v < film.vertices; v++) {
    flat[2 * v] = uv[v]!
    flat[2 * v + 1] = uv[film.vertices + v]!
  }
  let weight = 0
  let [x, y, xx, xy, yy] = [0, 0, 0, 0, 0]
  for (const t of own) {
    const stretch = stretchOf[t]!
    if (stretch < 0.6 * most) continue
    const shape = triangleShape(surface, flat, t)
    const w = shape.areaMm2 * stretch
    weight += w
    x += w * shape.at[0]
    y += w * shape.at[1]
    xx += w * shape.direction[0] ** 2
    xy += w * shape.direction[0] * shape.direction[1]
    yy += w * shape.direction[1] ** 2
  }
  const angle = Math.atan2(2 * xy, xx - yy) / 2
  return {
    stretch: most,
    heat: most > 1.05 * coldStretch ? 'warm' : 'cold',
    at: [x / weight, y / weight],
    direction: [Math.cos(angle), Math.sin(angle)],
  }
}
