import { beginningAt, frontOver } from './frontTimes.ts'
import { figuresOf } from './figures.ts'
import { type Laying, layStep, nothingLaid, onceMore } from './laying.ts'
import { marchedWays } from './marchedWays.ts'
import { meanFigures } from './meanFigures.ts'
import { rehearsalDefaults, type RehearsalOptions } from './rehearsalOptions.ts'
import type { PreparedStage } from './stage.ts'
import { evenStroke } from './strokes.ts'
import { sweepOver } from './sweepOver.ts'
import type { LayOrder, Rehearsal } from './orderTypes.ts'

/**
 * Lays film in an order of work. Anchors are fixed first, where the floating film has them (drawn towards the worked lay by
 * their share). Then the front runs: each step lays the next stroke of film with the least distortion, given what lies
 * and the film that settles ahead of the front (all of it where an anchor ahead keeps it taut); where that leaves more film than it takes up, the step is lifted and the
 * free film pulled, cold as far as a cold pull goes and then warm, until nothing is left over or the film's limit is
 * reached. What is laid stays.
 *
 * Where along the way one stroke ends and the next begins is chance, and figures hang on it: the film is laid once for each of
 * `strokesBegin`, and the figures are the means. Steps and picture are those of the first.
 *
 * Assumes what every lay assumes (a membrane without friction) and that a hand pulls as evenly as the least-distortion
 * lay within the limits. Pure: the same input gives the same bits.
 */
export function rehearse(stage: PreparedStage, order: LayOrder, options: Partial<RehearsalOptions> = {}): Rehearsal {
  const use = { ...rehearsalDefaults, ...options }
  const { film, surface } = stage
  const floating = planar(stage.natural.flat)
  const fixed = fixAnchors(stage, floating, order, use)
  const front = frontOver(film, surface, order)
  const strokeMm = evenStroke(front.time, order.strokeMm / (order.spiral ? 4 : 1))
  const ways = use.strokesBegin.map((begin) => {
    const laying = onceMore(fixed)
    sweepOver(stage, laying, floating, { front, strokeMm, begin }, use)
    return asLaid(laying)
  })
  const [first] = ways
  if (first === undefined) throw new RangeError('a rehearsal lays the film once at least')
  return {
    // What a search found is told with the strokes that were really made.
    order: order.made === 'by search' && !order.spiral ? { ...order, strokeMm } : order,
    ...first,
    flipped: Math.max(...ways.map(({ flipped }) => flipped)),
    figures: meanFigures(
      ways.map((way) => figuresOf(stage, order, way)),
      stage.patterned ?? false,
    ),
  }
}

/** The film with its anchors fixed, each where the floating film has it, drawn towards the worked lay by its share. */
function fixAnchors(stage: PreparedStage, floating: Float64Array, order: LayOrder, use: RehearsalOptions): Laying {
  const { film, surface } = stage
  const { vertices } = film
  const worked = planar(stage.worked.flat)
  const laying = nothingLaid(film, floating)
  const radius = Math.min(use.anchorRadiusMm, Math.sqrt(surface.figures.areaMm2) / 8)
  for (const { at, label, pullShare } of order.anchors) {
    const away = marchedWays(film, beginningAt(film, surface, [at]))
    const nearest = away.reduce((best, mm) => Math.min(best, mm), Number.POSITIVE_INFINITY)
    const band: number[] = []
    for (let v = 0; v < vertices; v++) if (laying.stepOf[v] === 0 && away[v]! <= Math.max(radius, nearest)) band.push(v)
    if (band.length === 0) continue
    for (const v of band)
      for (const k of [v, vertices + v]) laying.uv[k] = floating[k]! + pullShare * (worked[k]! - floating[k]!)
    layStep(stage, laying, { kind: 'anchor', label, band, pull: null, lift: 0, front: [] })
  }
  return laying
}

const asLaid = ({ uv, stepOf, steps, laid: { stretch, flipped } }: Laying) => ({
  steps,
  stepOfVertex: stepOf,
  flat: inPairs(uv),
  stretch,
  flipped,
})

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

/** `[u0…, v0…]` as `[u0, v0, …]`. */
function inPairs(uv: Float64Array): Float64Array {
  const count = uv.length / 2
  const flat = new Float64Array(uv.length)
  for (let v = 0; v < count; v++) {
    flat[2 * v] = uv[v]!
    flat[2 * v + 1] = uv[count + v]!
  }
  return flat
}
