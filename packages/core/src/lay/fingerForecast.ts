import { outlineGauge, type Vec2 } from '../geometry/index.ts'
import type { PartSurface } from '../form/index.ts'
import type { Lay } from './layTypes.ts'

export interface FingerPlace {
  readonly edge: string
  /** Film left over beyond what it takes up by itself, mm per 100 mm of edge; 0 = none. */
  readonly excessMmPer100: number
  /** Where on the drawing the edge has most of it. */
  readonly worstAt: Vec2
}

/**
 * How much film is left over along each edge of the part: flat length against length on the surface of the rim's
 * sides, averaged over windows of 100 mm, less what the film takes up. The forecast is excess per 100 mm of
 * edge at the worst place, not the place of every finger.
 *
 * @param take compression the film takes up without a finger, ratio
 */
export function fingerForecast(surface: PartSurface, lay: Pick<Lay, 'flat'>, take: number): FingerPlace[] {
  const byEdge = new Map<string, FingerPlace>()
  for (const { edge, at, excessMmPer100 } of rimExcess(surface, lay, take)) {
    const known = byEdge.get(edge)
    if (known === undefined || excessMmPer100 > known.excessMmPer100)
      byEdge.set(edge, { edge, excessMmPer100, worstAt: at })
  }
  return [...byEdge.values()].sort((a, b) => b.excessMmPer100 - a.excessMmPer100)
}

/** The same at every side of the rim, in its order. `slit`: rim vertices at which the film is cut. */
export function rimExcess(
  surface: PartSurface,
  lay: Pick<Lay, 'flat'>,
  take: number,
  slit: ReadonlySet<number> = new Set(),
): (RimSide & { readonly excessMmPer100: number })[] {
  const rim = surface.loops[0]
  if (rim === undefined) return []
  const nearestEdge = edgeFinder(surface)
  const sides = Array.from(rim, (v, i): RimSide => {
    const w = rim[(i + 1) % rim.length] ?? v
    const at: Vec2 = [
      (surface.plan[2 * v]! + surface.plan[2 * w]!) / 2,
      (surface.plan[2 * v + 1]! + surface.plan[2 * w + 1]!) / 2,
    ]
    const p = surface.mesh.position
    const onPartMm = Math.hypot(p[3 * v]! - p[3 * w]!, p[3 * v + 1]! - p[3 * w + 1]!, p[3 * v + 2]! - p[3 * w + 2]!)
    const inFilmMm = Math.hypot(lay.flat[2 * v]! - lay.flat[2 * w]!, lay.flat[2 * v + 1]! - lay.flat[2 * w + 1]!)
    // Across a slit's mouth there is no film to measure.
    const atSlit = slit.has(v) || slit.has(w)
    return { v, w, at, onPartMm, inFilmMm: atSlit ? onPartMm : inFilmMm, edge: nearestEdge(at) }
  })
  return sides.map((side, i) => {
    const { onPartMm, inFilmMm } = windowAround(sides, i)
    return { ...side, excessMmPer100: Math.max(0, (100 * (inFilmMm * (1 - take) - onPartMm)) / onPartMm) }
  })
}

interface RimSide {
  /** Its two vertices. */
  readonly v: number
  readonly w: number
  readonly at: Vec2
  readonly onPartMm: number
  readonly inFilmMm: number
  readonly edge: string
}

/** Along so much of an edge film is left over as one finger or none. */
const windowMm = 100

interface Lengths {
  readonly onPartMm: number
  readonly inFilmMm: number
}

/** Lengths summed over 100 mm of the same edge round the middle of side `i`, the last sides in part; less where the edge is shorter. */
function windowAround(sides: readonly RimSide[], i: number): Lengths {
  const own = sides[i]!
  const lackingMm = Math.max(0, windowMm - own.onPartMm)
  const half = along(sides, i, 1, lackingMm / 2)
  // Near a corner what one way lacks is taken the other way.
  const back = along(sides, i, -1, lackingMm - half.onPartMm)
  const ahead = along(sides, i, 1, lackingMm - back.onPartMm)
  return {
    onPartMm: own.onPartMm + ahead.onPartMm + back.onPartMm,
    inFilmMm: own.inFilmMm + ahead.inFilmMm + back.inFilmMm,
  }
}

/** Lengths of the sides that follow one of them one way along the same edge, as far as a length on the part. */
function along(sides: readonly RimSide[], from: number, way: 1 | -1, farMm: number): Lengths {
  const { edge } = sides[from]!
  let onPartMm = 0
  let inFilmMm = 0
  for (let k = 1; k < sides.length && onPartMm < farMm; k++) {
    const side = sides[(from + way * k + sides.length) % sides.length]!
    if (side.edge !== edge) break
    const share = Math.min(1, (farMm - onPartMm) / side.onPartMm)
    onPartMm += share * side.onPartMm
    inFilmMm += share * side.inFilmMm
  }
  return { onPartMm, inFilmMm }
}

/** Names the edge nearest to a spot of the drawing, for many spots: each begins where the last one was. */
export function edgeFinder({ outline }: Pick<PartSurface, 'outline'>): (p: Vec2) => string {
  const { polygon, edgeOfSide } = outline
  const gauge = outlineGauge(polygon)
  let likely = 0
  return (p) => {
    const { side, share } = gauge.nearest(p, likely)
    likely = side
    // A corner belongs to two sides that are equally near: the one that comes first in the outline counts.
    const count = polygon.length
    const beside = share <= 0 ? (side + count - 1) % count : share >= 1 ? (side + 1) % count : side
    return edgeOfSide[Math.min(side, beside)] ?? edgeOfSide[0] ?? ''
  }
}

/** Name of the edge nearest to one spot of the drawing. */
export const edgeAt = (surface: Pick<PartSurface, 'outline'>, p: Vec2): string => edgeFinder(surface)(p)
