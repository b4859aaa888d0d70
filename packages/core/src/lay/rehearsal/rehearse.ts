import { cross2, fitRigid, rotate, subtract, unit, type Vec2 } from '../../geometry/index.ts'
import { inKernel } from '../../kernel/index.ts'
import { singularValues2x2 } from '../../numerics/index.ts'
import { type FilmMesh, matrixOf } from '../internal/filmMesh.ts'
import { figuresOf } from './figures.ts'
import { beginningAt, frontOver } from './frontTimes.ts'
import { layStroke } from './layStroke.ts'
import { marchedWays } from './marchedWays.ts'
import { rehearsalDefaults, type RehearsalOptions } from './rehearsalOptions.ts'
import type { PreparedStage } from './stage.ts'
import { bandsOf, evenStroke, passesOf } from './strokes.ts'
import type { LayOrder, Rehearsal, RehearsalStep, StepPull } from './orderTypes.ts'
import { name, say, type Sentence } from '../../say/index.ts'

/**
 * Lays film in an order of work. Anchors are fixed first, where the floating film has them (drawn towards the worked lay by
 * their share). Then the front runs: each step lays the next stroke of film with the least distortion, given what lies
 * and the film that settles ahead of the front (all of it where an anchor ahead keeps it taut); where that leaves more film than it takes up, the step is lifted and the
 * free film pulled, cold as far as a cold pull goes and then warm, until nothing is left over or the film's limit is
 * reached. What is laid stays.
 *
 * Assumes what every lay assumes (a membrane without friction) and that a hand pulls as evenly as the least-distortion
 * lay within the limits. Pure: the same input gives the same bits.
 */
export function rehearse(stage: PreparedStage, order: LayOrder, options: Partial<RehearsalOptions> = {}): Rehearsal {
  const use = { ...rehearsalDefaults, ...options }
  const { film, surface } = stage
  const { vertices } = film
  const aheadMm = stage.laid === 'wet' ? use.settleAheadWetMm : use.settleAheadDryMm
  const uv = planar(stage.natural.flat)
  const reference = uv.slice()
  const worked = planar(stage.worked.flat)
  const stepOf = new Int32Array(vertices)
  const steps: RehearsalStep[] = []
  const laid: Laid = {
    triangle: new Uint8Array(film.triangles),
    stretch: new Float64Array(2 * film.triangles).fill(1),
    flipped: 0,
  }

  const record = (
    kind: RehearsalStep['kind'],
    label: Sentence,
    band: readonly number[],
    pull: StepPull | null,
    lift: number,
    front: RehearsalStep['front'],
  ) => {
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

  const radius = Math.min(use.anchorRadiusMm, Math.sqrt(surface.figures.areaMm2) / 8)
  for (const anchor of order.anchors) {
    const away = marchedWays(film, beginningAt(film, surface, [anchor.at]))
    const nearest = away.reduce((best, mm) => Math.min(best, mm), Number.POSITIVE_INFINITY)
    const fixed: number[] = []
    for (let v = 0; v < vertices; v++) if (stepOf[v] === 0 && away[v]! <= Math.max(radius, nearest)) fixed.push(v)
    if (fixed.length === 0) continue
    for (const v of fixed) {
      for (const k of [v, vertices + v]) uv[k] = reference[k]! + anchor.pullShare * (worked[k]! - reference[k]!)
    }
    record('anchor', anchor.label, fixed, null, 0, [])
  }

  const front = frontOver(film, surface, order)
  const { time } = front
  const bandMm = evenStroke(time, order.strokeMm / (order.spiral ? 4 : 1))
  let furthestAnchorMm = 0
  stepOf.forEach((step, v) => {
    if (step !== 0) furthestAnchorMm = Math.max(furthestAnchorMm, time[v]!)
  })
  for (const stroke of bandsOf(film, front, stepOf, bandMm)) {
    const { vertices: band, untilMm } = stroke
    // Film between the front and an anchor ahead of it is taut: it settles all the way.
    const taut = furthestAnchorMm > untilMm
    const free = withAhead(film, band, stepOf, taut ? Number.MAX_VALUE : aheadMm)
    guess(film, uv, reference, free, stepOf)
    const passes = passesOf(front, stroke)
    const { pull, lifted } = inKernel(() => layStroke(stage, uv, { band, free, stepOf, passes }, use))
    record('sweep', sweepLabel(stage, band), band, pull, lifted, contour(stage, time, untilMm))
  }

  const flat = new Float64Array(2 * vertices)
  for (let v = 0; v < vertices; v++) {
    flat[2 * v] = uv[v]!
    flat[2 * v + 1] = uv[vertices + v]!
  }
  const { stretch, flipped } = laid
  return {
    // What a search found is told with the strokes that were really made.
    order: order.made === 'by search' && !order.spiral ? { ...order, strokeMm: bandMm } : order,
    steps,
    stepOfVertex: stepOf,
    flat,
    stretch,
    flipped,
    figures: figuresOf(stage, order, { flat, stretch, stepOfVertex: stepOf, steps }),
  }
}

/** `[u0, v0, …]` as `[u0…, v0…]`. */
function planar(flat: Float64Array): Float64Array {
  const count = flat.length / 2
  const uv = new Float64Array(2 * count)
  for (let v = 0; v < count; v++) {
    uv[v] = flat[2 * v]!
    uv[count + v] = flat[2 * v + 1]!
  }
  return uv
}

/** The line at which the front time has a value, as pairs of spots on the drawing. */
function contour({ surface, film }: PreparedStage, time: Float64Array, value: number): [Vec2, Vec2][] {
  const { plan } = surface
  const lines: [Vec2, Vec2][] = []
  for (let t = 0; t < film.triangles; t++) {
    const crossed: Vec2[] = []
    for (let c = 0; c < 3; c++) {
      const a = film.corner[3 * t + c]!
      const b = film.corner[3 * t + ((c + 1) % 3)]!
      if (time[a]! < value === time[b]! < value) continue
      const s = (value - time[a]!) / (time[b]! - time[a]!)
      crossed.push([
        plan[2 * a]! + s * (plan[2 * b]! - plan[2 * a]!),
        plan[2 * a + 1]! + s * (plan[2 * b + 1]! - plan[2 * a + 1]!),
      ])
    }
    if (crossed.length === 2) lines.push([crossed[0]!, crossed[1]!])
  }
  return lines
}

/** A stroke with the free film that settles ahead of it. */
function withAhead(film: FilmMesh, band: readonly number[], stepOf: Int32Array, aheadMm: number): Int32Array {
  const away = marchedWays(film, new Map(band.map((v) => [v, 0])), {
    open: (v) => stepOf[v] === 0,
    untilMm: aheadMm,
  })
  const free: number[] = []
  for (let v = 0; v < film.vertices; v++) if (stepOf[v] === 0 && away[v]! <= aheadMm) free.push(v)
  return Int32Array.from(free)
}

/**
 * A start for free film: the floating lay, moved and turned as what lies next to it was. Where nothing lies yet the floating
 * lay itself holds it, by its two outermost vertices left as they are.
 */
function guess(film: FilmMesh, uv: Float64Array, reference: Float64Array, free: Int32Array, stepOf: Int32Array): void {
  const held = new Set<number>()
  for (const v of free) {
    for (let p = film.graph.start[v]!; p < film.graph.start[v + 1]!; p++) {
      const w = film.graph.column[p]!
      if (stepOf[w] !== 0) held.add(w)
    }
  }
  if (held.size < 2) return
  const { vertices } = film
  const at = (xy: Float64Array, v: number): Vec2 => [xy[v]!, xy[vertices + v]!]
  const from = [...held].map((v) => at(reference, v))
  const to = [...held].map((v) => at(uv, v))
  const { turnRad, moveMm } = fitRigid(from, to)
  for (const v of free) {
    const [x, y] = rotate(at(reference, v), turnRad)
    uv[v] = x + moveMm[0]
    uv[vertices + v] = y + moveMm[1]
  }
}

/** What lies of the film, by triangles. */
interface Laid {
  /** 1 = lies. */
  readonly triangle: Uint8Array
  /** `[most0, least0, …]`, ratio; 1 of film that does not lie yet. */
  readonly stretch: Float64Array
  flipped: number
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
  for (const [v, areaMm2] of vertexArea.entries()) {
    wholeMm2 += areaMm2
    if (stepOf[v] !== 0) laidMm2 += areaMm2
  }
  return laidMm2 / wholeMm2
}

/** Middle of the surface that some vertices stand for, on the drawing. */
function middleOf({ surface: { plan }, film: { vertexArea } }: PreparedStage, vertices: readonly number[]): Vec2 {
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

function sweepLabel(stage: PreparedStage, band: readonly number[]): Sentence {
  const { form, surface } = stage
  const at = middleOf(stage, band)
  const xs = surface.outline.polygon
  const middle = xs.reduce<Vec2>((s, p) => [s[0] + p[0] / xs.length, s[1] + p[1] / xs.length], [0, 0])
  const way = unit(subtract(at, middle))
  const { directions } = form
  const across = name(way[0] > 0 ? directions.right : directions.left)
  const up = name(way[1] > 0 ? directions.up : directions.down)
  const spread = Math.hypot(...subtract(at, middle)) / Math.sqrt(surface.figures.areaMm2)
  if (spread < 0.08) return say`middle and round it`
  if (Math.abs(cross2(way, [1, 0])) < 0.5) return say`towards ${across}`
  if (Math.abs(way[0]) < 0.5) return say`towards ${up}`
  return say`towards ${up} and ${across}`
}
