import { distance } from '../../geometry/index.ts'
import { middleOfTriangle } from '../../form/index.ts'
import { fingersAfterShrinking } from '../handling/heatedPull.ts'
import { edgeAt, edgeFinder, fingerForecast } from '../fingerForecast.ts'
import type { HollowFigure, LayOrder, Rehearsal, RehearsalFigures } from './orderTypes.ts'
import { byDegrees, meanOfMost, percentileByArea } from '../shares.ts'
import type { PreparedStage } from './stage.ts'

/** What each trouble counts when orders are ranked. */
export interface TroubleWeights {
  readonly perFingerMm: number
  readonly perStretchPercent: number
  readonly perGlueLinePercentOfArea: number
  readonly perWrinkledPercentOfArea: number
  /** A hollow that will bridge; one that may counts by degrees. */
  readonly perBridge: number
  /** Per per cent of the part that had to be lifted and laid again, and that had to be pulled warm. */
  readonly perLiftedPercent: number
  readonly perWarmPercent: number
  readonly perFarEndMm: number
  /** Each spot that has to be fixed beyond the first. */
  readonly perAnchor: number
  /** Per cent of warp of a patterned film; clear film has nothing to warp. */
  readonly perWarpPercent: number
}

/**
 * In the order in which a customer sees them: film left over and glue lines first, stretch and lifts after. One point is
 * about what a millimetre of finger per 100 mm is worth.
 */
export const troubleWeights: TroubleWeights = {
  perFingerMm: 1,
  perStretchPercent: 0.3,
  perGlueLinePercentOfArea: 0.15,
  perWrinkledPercentOfArea: 0.1,
  perBridge: 3,
  perLiftedPercent: 0.015,
  perWarmPercent: 0.025,
  perFarEndMm: 0.05,
  perAnchor: 0.1,
  perWarpPercent: 0.4,
}

type Made = Pick<Rehearsal, 'flat' | 'stretch' | 'stepOfVertex' | 'steps'>

/** A part's largest stretch is that of so much of its film, on the mean: a single triangle may be a sliver. */
const mostStretchedShare = 0.01

/** All figures of a rehearsal that can be compared with those of another. */
export function figuresOf(stage: PreparedStage, order: LayOrder, made: Made): RehearsalFigures {
  const { form, surface, handling, film } = stage
  const fingers = fingerForecast(surface, made, handling.take)
  const nearEdge = stretchByEdge(stage, made.stretch)
  const shifts = marginShifts(stage, made.flat)
  const edges = form.edges.map(({ name }) => {
    const fingersMmPer100 = fingers.find((f) => f.edge === name)?.excessMmPer100 ?? 0
    const stretch = nearEdge.get(name) ?? 0
    return {
      edge: name,
      fingersMmPer100,
      afterShrinkingMmPer100: fingersAfterShrinking(fingersMmPer100, stretch, handling),
      stretch,
      marginShiftMm: shifts.get(name) ?? 0,
    }
  })
  let area = 0
  let glue = 0
  let over = 0
  let warm = 0
  const { take, coldStretch, glueLineStretch } = handling
  const most = 1 / (1 - take)
  for (let t = 0; t < film.triangles; t++) {
    const a = film.area[t]!
    const [larger, smaller] = [made.stretch[2 * t]!, made.stretch[2 * t + 1]!]
    area += a
    glue += a * byDegrees(larger - 1, 0.9 * glueLineStretch, 1.1 * glueLineStretch)
    over += a * byDegrees(1 / smaller, most, most + Math.max(take, 1e-3))
    warm += a * byDegrees(larger - 1, coldStretch, 1.5 * coldStretch)
  }
  const all = Array.from({ length: film.triangles }, (_, t) => t)
  const top = meanOfMost(film.area, all, (t) => made.stretch[2 * t]! - 1, mostStretchedShare)
  const at = middleOfTriangle(surface, top.triangle)
  const warp = percentileByArea(film.area, all, (t) => made.stretch[2 * t]! / made.stretch[2 * t + 1]! - 1, 0.99)
  const hollows = hollowFigures(stage, made)
  const farEnd = farEndOf(stage, order, shifts)
  const worstFingersMmPer100 = Math.max(0, ...edges.map((e) => e.fingersMmPer100))
  const figures = {
    edges,
    worstFingersMmPer100,
    largestStretch: Math.max(0, top.value),
    largestStretchAt: at,
    largestStretchEdge: edgeAt(surface, at),
    glueLineShare: glue / area,
    wrinkledShare: over / area,
    hollows,
    farEnd,
    anchors: made.steps.filter((s) => s.kind === 'anchor').length,
    lifts: made.steps.filter((s) => s.lifted).length,
    warmPulls: made.steps.filter((s) => s.pull?.heat === 'warm').length,
    liftedShare: made.steps.reduce(
      (sum, s, i) => sum + s.lift * (s.laidShare - (made.steps[i - 1]?.laidShare ?? 0)),
      0,
    ),
    warmShare: warm / area,
    patternWarp: warp.value,
  }
  return { ...figures, trouble: troubleOf(figures, stage.patterned ?? false) }
}

/** One number for a rehearsal: less is better, 0 lies down by itself. */
export function troubleOf(
  f: Omit<RehearsalFigures, 'trouble'>,
  patterned: boolean,
  weights: TroubleWeights = troubleWeights,
): number {
  const meanFingers = f.edges.reduce((sum, e) => sum + e.fingersMmPer100, 0) / Math.max(1, f.edges.length)
  return (
    weights.perFingerMm * (f.worstFingersMmPer100 + meanFingers) +
    weights.perStretchPercent * 100 * f.largestStretch +
    weights.perGlueLinePercentOfArea * 100 * f.glueLineShare +
    weights.perWrinkledPercentOfArea * 100 * f.wrinkledShare +
    weights.perBridge * f.hollows.reduce((sum, h) => sum + h.bridging, 0) +
    weights.perLiftedPercent * 100 * f.liftedShare +
    weights.perWarmPercent * 100 * f.warmShare +
    weights.perFarEndMm * Math.abs(f.farEnd.shiftMm) +
    weights.perAnchor * Math.max(0, f.anchors - 1) +
    (patterned ? weights.perWarpPercent * 100 * f.patternWarp : 0)
  )
}

/** 95th percentile by area of the stretch of what lies nearer to an edge than a fifth of the part, by edge. */
function stretchByEdge(stage: PreparedStage, stretch: Float64Array): Map<string, number> {
  const { surface, film } = stage
  const reach = Math.sqrt(surface.figures.areaMm2) / 5
  const byEdge = new Map<string, number[]>()
  for (let t = 0; t < film.triangles; t++) {
    const near = stage.nearestEdge[t]!
    if (near.distanceMm > reach) continue
    const list = byEdge.get(near.edge) ?? []
    list.push(t)
    byEdge.set(near.edge, list)
  }
  return new Map(
    [...byEdge].map(([edge, list]) => [
      edge,
      Math.max(0, percentileByArea(film.area, list, (t) => stretch[2 * t]! - 1, 0.95).value),
    ]),
  )
}

/** Mean move of the film at each edge against where it was registered, outward positive: the film then stops shorter. */
function marginShifts({ surface, worked }: PreparedStage, flat: Float64Array): Map<string, number> {
  const rim = surface.loops[0] ?? new Int32Array()
  const sums = new Map<string, { shift: number; length: number }>()
  const { plan } = surface
  const nearestEdge = edgeFinder(surface)
  for (let i = 0; i < rim.length; i++) {
    const v = rim[i]!
    const w = rim[(i + 1) % rim.length]!
    const fx = worked.flat[2 * w]! - worked.flat[2 * v]!
    const fy = worked.flat[2 * w + 1]! - worked.flat[2 * v + 1]!
    const length = Math.hypot(fx, fy) || 1
    let shift = 0
    for (const k of [v, w]) {
      const dx = flat[2 * k]! - worked.flat[2 * k]!
      const dy = flat[2 * k + 1]! - worked.flat[2 * k + 1]!
      // The outline runs counter-clockwise: outward is to its right.
      shift += (dx * fy - dy * fx) / length / 2
    }
    const edge = nearestEdge([(plan[2 * v]! + plan[2 * w]!) / 2, (plan[2 * v + 1]! + plan[2 * w + 1]!) / 2])
    const sum = sums.get(edge) ?? { shift: 0, length: 0 }
    sum.shift += shift * length
    sum.length += length
    sums.set(edge, sum)
  }
  return new Map([...sums].map(([edge, { shift, length }]) => [edge, shift / length]))
}

/** The edge whose middle lies farthest from the first thing that was laid. */
function farEndOf({ surface }: PreparedStage, order: LayOrder, shifts: Map<string, number>) {
  const begin = order.anchors[0]?.at ?? order.from[0] ?? [0, 0]
  const { polygon, edgeOfSide } = surface.outline
  const middles = new Map<string, { x: number; y: number; count: number }>()
  polygon.forEach((p, i) => {
    const edge = edgeOfSide[i] ?? ''
    const m = middles.get(edge) ?? { x: 0, y: 0, count: 0 }
    middles.set(edge, { x: m.x + p[0], y: m.y + p[1], count: m.count + 1 })
  })
  let far = ''
  let most = -1
  for (const [edge, { x, y, count }] of middles) {
    const d = distance([x / count, y / count], begin)
    if (d > most) {
      most = d
      far = edge
    }
  }
  return { edge: far, shiftMm: shifts.get(far) ?? 0 }
}

/** Film laid before a hollow's bottom round this share of its rim spans it; a little less or more by degrees. */
const spannedShare = 0.5
const spannedBand = 0.15
/** From which risk of bridging on one speaks of some, and of a high one. */
const someRisk = 0.05
const highRisk = 0.8

export const riskOf = (bridging: number): HollowFigure['risk'] =>
  bridging >= highRisk ? 'high' : bridging > someRisk ? 'some' : 'none'

function hollowFigures({ hollows, film, handling }: PreparedStage, made: Made): HollowFigure[] {
  return hollows.map(({ name, within, ...places }) => {
    const floor = places.floor.map((v) => made.stepOfVertex[v]!)
    const rim = places.rim.map((v) => made.stepOfVertex[v]!)
    const stretch =
      within.length === 0
        ? 0
        : Math.max(0, percentileByArea(film.area, within, (t) => made.stretch[2 * t]! - 1, 0.95).value)
    const floorBegins = Math.min(...floor)
    const before = rim.filter((step) => step < floorBegins).length / Math.max(1, rim.length)
    const spanned = byDegrees(before, spannedShare - spannedBand, spannedShare + spannedBand)
    // Film that spans a hollow has to give its stretch as it is pressed down; film laid from the bottom, only when it is too much.
    const ifSpanned = byDegrees(stretch, handling.coldStretch / 4, handling.coldStretch)
    const ifNot = byDegrees(stretch, handling.glueLineStretch, handling.warmStretch)
    const bridging = Math.max(ifNot, spanned * ifSpanned)
    return { name, stretch, floorFirst: before < spannedShare, bridging, risk: riskOf(bridging) }
  })
}
