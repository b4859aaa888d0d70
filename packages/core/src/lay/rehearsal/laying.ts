import { type FilmMesh, matrixOf } from '../internal/filmMesh.ts'
import type { Vec2 } from '../../geometry/index.ts'
import { singularValues2x2 } from '../../numerics/index.ts'
import type { Sentence } from '../../say/index.ts'
import type { RehearsalStep, StepPull } from './orderTypes.ts'
import type { PreparedStage } from './stage.ts'

/** Film as it is being laid. */
export interface Laying {
  /** Where it is, `[u0…, v0…]`, mm. */
  readonly uv: Float64Array
  /** Number of the step that laid each vertex; 0 for those that do not lie yet. */
  readonly stepOf: Int32Array
  readonly steps: RehearsalStep[]
  readonly laid: Laid
}

/** What lies of the film, by triangles. */
interface Laid {
  /** 1 = lies. */
  readonly triangle: Uint8Array
  /** `[most0, least0, …]`, ratio; 1 of film that does not lie yet. */
  readonly stretch: Float64Array
  flipped: number
}

export const nothingLaid = (film: FilmMesh, uv: Float64Array): Laying => ({
  uv: uv.slice(),
  stepOf: new Int32Array(film.vertices),
  steps: [],
  laid: {
    triangle: new Uint8Array(film.triangles),
    stretch: new Float64Array(2 * film.triangles).fill(1),
    flipped: 0,
  },
})

/** The same film once more, to be laid on in another way. */
export const onceMore = ({ uv, stepOf, steps, laid }: Laying): Laying => ({
  uv: uv.slice(),
  stepOf: stepOf.slice(),
  steps: [...steps],
  laid: { triangle: laid.triangle.slice(), stretch: laid.stretch.slice(), flipped: laid.flipped },
})

/** What a step lays, and what it took. */
export interface StepDone extends Pick<RehearsalStep, 'kind' | 'front' | 'lift'> {
  readonly label: Sentence
  /** Vertices. */
  readonly band: readonly number[]
  readonly pull: StepPull | null
}

/** Lays some film where it is. */
export function layStep(
  stage: PreparedStage,
  laying: Laying,
  { kind, label, band, pull, lift, front }: StepDone,
): void {
  const { film } = stage
  const { uv, stepOf, steps, laid } = laying
  const number = steps.length + 1
  for (const v of band) stepOf[v] = number
  const mostStretch = layDown(film, uv, stepOf, laid)
  steps.push({
    number,
    kind,
    label,
    at: middleOf(stage, band),
    laidShare: shareOf(film, stepOf),
    front,
    frontExcessMmPer100: excessAlongFront(stage, uv, stepOf),
    mostStretch: Math.max(steps[steps.length - 1]?.mostStretch ?? 1, mostStretch),
    pull,
    lift,
    lifted: lift > 0.5,
  })
}

/** How many corners of a triangle lie. */
const lying = ({ corner }: FilmMesh, stepOf: Int32Array, t: number) =>
  Number(stepOf[corner[3 * t]!] !== 0) +
  Number(stepOf[corner[3 * t + 1]!] !== 0) +
  Number(stepOf[corner[3 * t + 2]!] !== 0)

/** Takes up what has come to lie since; gives its largest stretch, at least 1. */
function layDown(film: FilmMesh, uv: Float64Array, stepOf: Int32Array, laid: Laid): number {
  const m = new Float64Array(4)
  let most = 1
  for (let t = 0; t < film.triangles; t++) {
    if (laid.triangle[t]) continue
    if (lying(film, stepOf, t) < 3) continue
    laid.triangle[t] = 1
    matrixOf(film, uv, t, m, 0)
    const [larger, smaller] = singularValues2x2(m[0]!, m[1]!, m[2]!, m[3]!)
    if (smaller <= 0) laid.flipped++
    laid.stretch[2 * t] = 1 / Math.max(1e-3, Math.abs(smaller))
    laid.stretch[2 * t + 1] = 1 / larger
    most = Math.max(most, laid.stretch[2 * t]!)
  }
  return most
}

/** Share of the part's surface that lies. */
function shareOf({ vertexArea }: FilmMesh, stepOf: Int32Array): number {
  let [laidMm2, wholeMm2] = [0, 0]
  for (let v = 0; v < vertexArea.length; v++) {
    wholeMm2 += vertexArea[v]!
    if (stepOf[v] !== 0) laidMm2 += vertexArea[v]!
  }
  return laidMm2 / wholeMm2
}

/** Middle of the surface that some vertices stand for, on the drawing. */
export function middleOf(
  { surface: { plan }, film: { vertexArea } }: PreparedStage,
  vertices: readonly number[],
): Vec2 {
  let [x, y, whole] = [0, 0, 0]
  for (const v of vertices) {
    const areaMm2 = vertexArea[v]!
    x += areaMm2 * plan[2 * v]!
    y += areaMm2 * plan[2 * v + 1]!
    whole += areaMm2
  }
  return whole === 0 ? [0, 0] : [x / whole, y / whole]
}

/** Film left over along the sides of the mesh between laid and free film, mm per 100 mm. */
function excessAlongFront({ film }: PreparedStage, uv: Float64Array, stepOf: Int32Array): number {
  let onPart = 0
  let inFilm = 0
  const p = film.position
  for (let t = 0; t < film.triangles; t++) {
    if (lying(film, stepOf, t) !== 2) continue
    const free = [0, 1, 2].findIndex((c) => stepOf[film.corner[3 * t + c]!] === 0)
    const [a, b] = [film.corner[3 * t + ((free + 1) % 3)]!, film.corner[3 * t + ((free + 2) % 3)]!]
    onPart += Math.hypot(p[3 * a]! - p[3 * b]!, p[3 * a + 1]! - p[3 * b + 1]!, p[3 * a + 2]! - p[3 * b + 2]!)
    inFilm += Math.hypot(uv[a]! - uv[b]!, uv[film.vertices + a]! - uv[film.vertices + b]!)
  }
  return onPart === 0 ? 0 : (100 * (inFilm - onPart)) / onPart
}
