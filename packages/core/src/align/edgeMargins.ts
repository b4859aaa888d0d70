import {
  cross2,
  densify,
  distance,
  type OutlineGauge,
  outlineGauge,
  type Polygon,
  signedArea,
  subtract,
  unit,
  type Vec2,
} from '../geometry/index.ts'
import type { FlatOutline, FlatPart } from '../lay/index.ts'

/** What the rule of an edge allows: signed edge margin, mm, positive when the film stops short. */
export interface EdgeRule {
  readonly minMm: number
  readonly maxMm: number
}

export type EdgeRules = Readonly<Record<string, EdgeRule>>

/** A spot on the part's edge where the margin is taken. */
export interface EdgeSpot {
  readonly at: Vec2
  /** Into the film's side of the edge, length 1. */
  readonly inward: Vec2
  readonly edge: string
  /** -1 = the outline, otherwise the number of the hole. */
  readonly hole: number
  /** The nearer neighbour along the outline; null where the outline is one edge all round. */
  readonly beside: { readonly edge: string; readonly awayMm: number; readonly ownLengthMm: number } | null
}

/** The spots of a part and the outlines they lie on; made once, used in every frame. */
export interface EdgeSpots {
  readonly spots: readonly EdgeSpot[]
  readonly outline: Polygon
  readonly holes: readonly Polygon[]
}

export interface EdgeMargin extends EdgeSpot {
  /** Distance from the film's edge to the part's edge, mm; positive when the film stops short. */
  readonly marginMm: number
  /** The spot of the film's edge that is nearest to `at`: the margin is taken from there. */
  readonly film: Vec2
  /** How the margin grows per mm that the film moves: direction, length 1. */
  readonly growth: Vec2
}

/** A piece as it lies in the film plane: outline and cut-outs, in the order of the part's holes. */
export interface PlacedPiece {
  readonly outline: Polygon
  readonly cutOuts: readonly Polygon[]
}

/** Spots along the outline and the holes of a part, no further than `stepMm` apart. */
export function edgeSpots(part: Pick<FlatPart, 'outline' | 'holes'>, stepMm: number): EdgeSpots {
  return {
    spots: [spotsOf(part.outline, stepMm, -1), ...part.holes.map((h, i) => spotsOf(h, stepMm, i))].flat(),
    outline: part.outline.polygon,
    holes: part.holes.map((h) => h.polygon),
  }
}

function spotsOf(outline: FlatOutline, stepMm: number, hole: number): EdgeSpot[] {
  const { points, side } = densify(outline.polygon, stepMm)
  const count = points.length
  // Inside lies left of a counter-clockwise outline; the film of a hole lies outside it.
  const turn = (signedArea(outline.polygon) > 0 ? 1 : -1) * (hole < 0 ? 1 : -1)
  const edges = points.map((_, i) => outline.edgeOfSide[side[i] ?? 0] ?? '')
  const beside = besides(points, edges)
  return points.map((at, i) => {
    const before = points[(i + count - 1) % count] ?? at
    const after = points[(i + 1) % count] ?? at
    const [dx, dy] = unit(subtract(after, before))
    return { at, inward: [-dy * turn, dx * turn], edge: edges[i] ?? '', hole, beside: beside[i] ?? null }
  })
}

/** For each point of a closed line of points, the nearer of the two edges next to its own, along the line. */
function besides(points: readonly Vec2[], edges: readonly string[]): EdgeSpot['beside'][] {
  const count = points.length
  const first = edges.findIndex((edge, i) => edge !== edges[(i + count - 1) % count])
  if (first < 0) return points.map(() => null)
  const result: EdgeSpot['beside'][] = new Array(count).fill(null)
  let k = 0
  while (k < count) {
    const edge = edges[(first + k) % count]!
    const along = [0]
    let n = 1
    while (n < count - k && edges[(first + k + n) % count] === edge) {
      along.push(along[n - 1]! + distance(points[(first + k + n - 1) % count]!, points[(first + k + n) % count]!))
      n++
    }
    const end = distance(points[(first + k + n - 1) % count]!, points[(first + k + n) % count]!)
    const ownLengthMm = along[n - 1]! + end
    const previous = edges[(first + k - 1 + count) % count]!
    const next = edges[(first + k + n) % count]!
    along.forEach((s, i) => {
      const nearStart = s <= ownLengthMm - s
      result[(first + k + i) % count] = {
        edge: nearStart ? previous : next,
        awayMm: nearStart ? s : ownLengthMm - s,
        ownLengthMm,
      }
    })
    k += n
  }
  return result
}

/** The part stays while its piece is moved: its outlines are prepared once. */
const gaugesOfParts = new WeakMap<Polygon, OutlineGauge>()
const gaugeOfPart = (polygon: Polygon): OutlineGauge => {
  const gauge = gaugesOfParts.get(polygon) ?? outlineGauge(polygon)
  gaugesOfParts.set(polygon, gauge)
  return gauge
}

/**
 * The edge margin at every spot: from the film's edge next to the spot to the part's edge, positive when the film
 * stops short of it. So an even gap is even in the corners too. Exact for the polygons given.
 * A hole of the part without a cut-out over it is compared with the piece's outline, and so is far out of any rule.
 */
export function edgeMargins({ spots, outline, holes }: EdgeSpots, piece: PlacedPiece): EdgeMargin[] {
  const partEdges = [outline, ...holes].map(gaugeOfPart)
  const filmEdges = [piece.outline, ...holes.map((_, i) => piece.cutOuts[i] ?? piece.outline)].map(outlineGauge)
  let filmSide = 0
  let partSide = 0
  return spots.map((spot) => {
    const nearest = filmEdges[spot.hole + 1]!.nearest(spot.at, filmSide)
    const partEdge = partEdges[spot.hole + 1]!
    const gauged = partEdge.nearest(nearest.point, partSide)
    filmSide = nearest.side
    partSide = gauged.side
    const { point: film } = nearest
    const { point, distanceMm } = gauged
    const sign = partEdge.holds(film, gauged) === spot.hole < 0 ? 1 : -1
    const growth: Vec2 =
      distanceMm > 1e-6
        ? [(sign * (film[0] - point[0])) / distanceMm, (sign * (film[1] - point[1])) / distanceMm]
        : spot.inward
    // Field by field: a spread of the spot takes ten times as long as all else here.
    const { at, inward, edge, hole, beside } = spot
    return { at, inward, edge, hole, beside, marginMm: sign * distanceMm, film, growth }
  })
}

export interface EdgeSummary {
  readonly edge: string
  readonly minMm: number
  readonly maxMm: number
  readonly meanMm: number
  readonly worst: EdgeMargin
  /** How far the worst spot is outside its rule, mm; negative = how much room is left. */
  readonly outsideMm: number
}

/** Least, greatest and worst margin of each edge against its rule, the worst edge first. */
export function summarizeEdges(margins: readonly EdgeMargin[], rules: EdgeRules): EdgeSummary[] {
  const byEdge = new Map<
    string,
    { sum: number; count: number; min: number; max: number; worst: EdgeMargin; outside: number }
  >()
  for (const margin of margins) {
    const outside = outsideRule(margin, rules)
    const known = byEdge.get(margin.edge)
    if (known === undefined) {
      byEdge.set(margin.edge, {
        sum: margin.marginMm,
        count: 1,
        min: margin.marginMm,
        max: margin.marginMm,
        worst: margin,
        outside,
      })
      continue
    }
    known.sum += margin.marginMm
    known.count++
    known.min = Math.min(known.min, margin.marginMm)
    known.max = Math.max(known.max, margin.marginMm)
    if (outside > known.outside) {
      known.outside = outside
      known.worst = margin
    }
  }
  return [...byEdge]
    .map(([edge, s]) => ({
      edge,
      minMm: s.min,
      maxMm: s.max,
      meanMm: s.sum / s.count,
      worst: s.worst,
      outsideMm: s.outside,
    }))
    .sort((a, b) => b.outsideMm - a.outsideMm)
}

/** No more than this share of an edge counts as its corner. */
const cornerShare = 0.45

/**
 * The rule that holds at a spot. Where an edge meets another that ends differently, the film of one runs into that of
 * the other: within the reach of the larger rule from such a corner no rule is judged.
 */
export function ruleAt({ edge, beside }: Pick<EdgeSpot, 'edge' | 'beside'>, rules: EdgeRules): EdgeRule | undefined {
  const rule = rules[edge]
  const other = beside === null ? undefined : rules[beside.edge]
  if (rule === undefined || beside === null || other === undefined) return rule
  if (other.minMm === rule.minMm && other.maxMm === rule.maxMm) return rule
  const reach = Math.max(-rule.minMm, rule.maxMm, -other.minMm, other.maxMm)
  return beside.awayMm < Math.min(reach, cornerShare * beside.ownLengthMm) ? undefined : rule
}

/** How far a margin is outside its rule, mm; negative inside. Where no rule holds it is never outside. */
export function outsideRule(
  margin: Pick<EdgeMargin, 'edge' | 'marginMm'> & { readonly beside?: EdgeSpot['beside'] },
  rules: EdgeRules,
): number {
  const rule = ruleAt({ edge: margin.edge, beside: margin.beside ?? null }, rules)
  if (rule === undefined) return Number.NEGATIVE_INFINITY
  return Math.max(rule.minMm - margin.marginMm, margin.marginMm - rule.maxMm)
}

/** How a margin changes when the film turns counter-clockwise about a point, mm per radian. */
export const growthPerRad = (margin: EdgeMargin, about: Vec2) => cross2(subtract(margin.film, about), margin.growth)
