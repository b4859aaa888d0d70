import { cross2, fitRigid, rotate, subtract, unit, type Vec2 } from '../../geometry/index.ts'
import { inKernel } from '../../kernel/index.ts'
import { name, say, type Sentence } from '../../say/index.ts'
import type { FilmMesh } from '../internal/filmMesh.ts'
import type { Front } from './frontTimes.ts'
import { type Laying, layStep, middleOf } from './laying.ts'
import { layStroke } from './layStroke.ts'
import { marchedWays } from './marchedWays.ts'
import type { RehearsalOptions } from './rehearsalOptions.ts'
import type { PreparedStage } from './stage.ts'
import { bandsOf, passesOf } from './strokes.ts'

/** A way over a part, stroke by stroke. */
export interface Sweep {
  readonly front: Front
  readonly strokeMm: number
  /** How much of its first stroke is left out, a share: where a hand begins is chance. */
  readonly begin: number
}

/**
 * Lays all film that is still free, stroke by stroke as the front reaches it, from where the floating lay has it (`floating`, `[u0…, v0…]`).
 */
export function sweepOver(
  stage: PreparedStage,
  laying: Laying,
  floating: Float64Array,
  { front, strokeMm, begin }: Sweep,
  use: RehearsalOptions,
): void {
  const { film } = stage
  const { uv, stepOf } = laying
  const { time } = front
  const aheadMm = stage.laid === 'wet' ? use.settleAheadWetMm : use.settleAheadDryMm
  let furthestAnchorMm = 0
  stepOf.forEach((step, v) => {
    if (step !== 0) furthestAnchorMm = Math.max(furthestAnchorMm, time[v]!)
  })
  for (const stroke of bandsOf(film, front, stepOf, strokeMm, begin)) {
    const { vertices: band, untilMm } = stroke
    // Film between the front and an anchor ahead of it is taut: it settles all the way.
    const taut = furthestAnchorMm > untilMm
    const free = withAhead(film, band, stepOf, taut ? Number.MAX_VALUE : aheadMm)
    guess(film, uv, floating, free, stepOf)
    const passes = passesOf(front, stroke)
    const { pull, lifted } = inKernel(() => layStroke(stage, uv, { band, free, stepOf, passes }, use))
    const label = sweepLabel(stage, band)
    layStep(stage, laying, { kind: 'sweep', label, band, pull, lift: lifted, front: contour(stage, time, untilMm) })
  }
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
