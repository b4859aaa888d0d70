import {
  boundsOf,
  centroid,
  contains,
  distance,
  nearestOnOutline,
  outlineGauge,
  type Vec2,
} from '../../geometry/index.ts'
import type { FormDoc, PartSurface } from '../../form/index.ts'
import { bestPlace, outOf, type SpotOnPart, spotsOver, turnAround, type Worth } from './spotsOver.ts'
import { list, name, say, type Sentence, verbatim } from '../../say/index.ts'

/** A spot of the drawing with what an installer would call it. */
export interface NamedSpot {
  readonly label: Sentence
  readonly at: Vec2
}

/** A place with where on the part it lies: "flattest place, towards the nose". */
export function whereOnForm(place: Sentence, form: FormDoc, surface: PartSurface, [x, y]: Vec2): Sentence {
  const { min, max } = boundsOf(surface.outline.polygon)
  const sx = (x - min[0]) / (max[0] - min[0])
  const sy = (y - min[1]) / (max[1] - min[1])
  const across = sx < 0.4 ? form.directions.left : sx > 0.6 ? form.directions.right : null
  const up = sy < 0.4 ? form.directions.down : sy > 0.6 ? form.directions.up : null
  const words = [up, across].filter((w) => w !== null)
  return words.length === 0 ? say`${place}, in the middle` : say`${place}, towards ${list(words)}`
}

/** The corners of the part in the order of its outline; of a round part the marks on its rim, or its four quarters. */
export function cornersOf(form: FormDoc, surface: PartSurface): NamedSpot[] {
  const { polygon, edgeOfSide } = surface.outline
  const count = polygon.length
  const label = (edge: string) => name((form.edges.find((e) => e.name === edge)?.label ?? edge).replace(/ edge$/, ''))
  const corners = polygon.flatMap((at, i): NamedSpot[] => {
    const before = edgeOfSide[(i + count - 1) % count] ?? ''
    const after = edgeOfSide[i] ?? ''
    if (before === after) return []
    const mark = form.marks.find((m) => distance(m.at, at) < 30)
    return [
      { at, label: mark === undefined ? say`corner of ${label(before)} and ${label(after)}` : verbatim(mark.label) },
    ]
  })
  if (corners.length >= 3) return corners
  const { min, max } = boundsOf(polygon)
  const [cx, cy] = [(min[0] + max[0]) / 2, (min[1] + max[1]) / 2]
  const quarters: NamedSpot[] = (
    [
      [[cx, max[1]], form.directions.up],
      [[max[0], cy], form.directions.right],
      [[cx, min[1]], form.directions.down],
      [[min[0], cy], form.directions.left],
    ] as const
  ).map(([towards, word]) => {
    const at = [...polygon].sort((a, b) => distance(a, towards) - distance(b, towards))[0] ?? towards
    return { at, label: say`rim towards ${name(word)}` }
  })
  return quarters
}

/** The line of one edge, from its first corner to its last. */
export function edgeLine(surface: PartSurface, edge: string): Vec2[] {
  const { polygon, edgeOfSide } = surface.outline
  const count = polygon.length
  const first = edgeOfSide.findIndex((e, i) => e === edge && edgeOfSide[(i + count - 1) % count] !== edge)
  if (first < 0) return [...polygon]
  const line: Vec2[] = []
  for (let k = 0; k <= count; k++) {
    const i = (first + k) % count
    line.push(polygon[i] ?? [0, 0])
    if (edgeOfSide[i] !== edge) break
  }
  return line
}

/** The middle of the part's area, or where that is no film the spot of the part nearest to it. */
export function centreOf(form: FormDoc, surface: PartSurface): NamedSpot {
  const middle = centroid(surface.outline.polygon)
  const onPart = contains(surface.outline.polygon, middle) && !surface.holes.some((h) => contains(h.polygon, middle))
  if (onPart) return { at: middle, label: say`centre` }
  const rims = [surface.outline, ...surface.holes].map(({ polygon }) => nearestOnOutline(polygon, middle))
  const { point, distanceMm } = rims.sort((a, b) => a.distanceMm - b.distanceMm)[0]!
  const label = distanceMm > 20 ? whereOnForm(say`centre`, form, surface, point) : say`centre`
  return { at: point, label }
}

/** How much flatter the upper or right end has to be to be begun at, rad; and how much nearer to it its mark, mm. */
const clearlyFlatterRad = 0.01
const clearlyNearerMm = 1

/**
 * One end of the part along its longer side: the one with the nearer reference mark, else the flatter one, else the left
 * or the lower one. A mirrored part is begun at the same end of its own.
 */
export function endOf(
  form: FormDoc,
  surface: PartSurface,
): NamedSpot & { readonly line: readonly Vec2[]; readonly lineLabel: Sentence } {
  const { min, max } = boundsOf(surface.outline.polygon)
  const wide = max[0] - min[0] >= max[1] - min[1]
  const middle: Vec2 = [(min[0] + max[0]) / 2, (min[1] + max[1]) / 2]
  const k = wide ? 0 : 1
  const long = max[k] - min[k]
  const [lower, upper] = ([-1, 1] as const).map((way) => {
    const at: Vec2 = wide ? [middle[0] + (way * long) / 2, middle[1]] : [middle[0], middle[1] + (way * long) / 2]
    const nearest = [...form.marks].sort((a, b) => distance(a.at, at) - distance(b.at, at))[0]
    const inMm = (p: Vec2) => (way < 0 ? p[k] - min[k] : max[k] - p[k])
    const mark = nearest !== undefined && inMm(nearest.at) < 0.25 * long ? nearest : undefined
    return { way, at, inMm, mark, markMm: mark === undefined ? Number.POSITIVE_INFINITY : inMm(mark.at) }
  }) as [End, End]
  const end = betterEnd(lower, upper, surface, long)
  const line = surface.outline.polygon.filter((p) => end.inMm(p) < 0.06 * long)
  const at = end.mark?.at ?? line[Math.floor(line.length / 2)] ?? end.at
  const inward: Vec2 = [middle[0] - at[0], middle[1] - at[1]]
  const length = Math.hypot(...inward) || 1
  const { left, right, down, up } = form.directions
  const word = name(wide ? (end.way < 0 ? left : right) : end.way < 0 ? down : up)
  const reach = Math.min(25, 0.05 * length + 10)
  return {
    at: [at[0] + (reach * inward[0]) / length, at[1] + (reach * inward[1]) / length],
    label: end.mark === undefined ? say`end towards ${word}` : verbatim(end.mark.label),
    line,
    lineLabel: say`the end towards ${word}`,
  }
}

interface End {
  /** -1 = left or lower. */
  readonly way: -1 | 1
  readonly at: Vec2
  /** How far a place is from this end, mm. */
  readonly inMm: (p: Vec2) => number
  readonly mark: FormDoc['marks'][number] | undefined
  readonly markMm: number
}

function betterEnd(lower: End, upper: End, surface: PartSurface, longMm: number): End {
  if (upper.markMm < lower.markMm - clearlyNearerMm) return upper
  if (lower.markMm < upper.markMm - clearlyNearerMm) return lower
  const turn = ({ inMm }: End) => {
    const spots = spotsOver(surface).spots.filter((spot) => inMm(spot.at) < longMm / 6)
    return spots.length === 0 ? 0 : spots.reduce((sum, spot) => sum + turnAround(spot, spots), 0) / spots.length
  }
  return turn(upper) < turn(lower) - clearlyFlatterRad ? upper : lower
}

/**
 * How much nearer to the middle a place has to be to be taken though its surroundings turn more: radians over the length
 * of the part. Of places that are alike the one is taken from which the ways are shortest.
 */
const turnPerPart = 0.06

/** How far around it a place is looked at, as a share of the part's size, and how far from the rim it has to be. */
const reachShare = 1 / 6
const fromRimShare = 0.1

/** The place whose surroundings turn least: where normals within a sixth of the part agree best. */
export function flattestOf(form: FormDoc, surface: PartSurface): NamedSpot {
  const at = bestBy(surface, turnPerPart / 10, (spot, near, away) => -turnAround(spot, near) - turnPerPart * away)
  return at === null ? centreOf(form, surface) : { at, label: whereOnForm(say`flattest place`, form, surface, at) }
}

/** The spot that stands out most of its surroundings (sign 1) or lies deepest in them (sign -1). */
function extremeOf(surface: PartSurface, sign: 1 | -1): Vec2 {
  // What turns by an angle over a reach stands out by about a quarter of their product.
  const perPart = (turnPerPart * reachShare * Math.sqrt(surface.figures.areaMm2)) / 4
  const at = bestBy(surface, perPart / 5, (spot, near, away) => sign * outOf(spot, near) - 2 * perPart * away)
  return at ?? centroid(surface.outline.polygon)
}

/**
 * The best place off the rim, where nothing of its surroundings is missing; null where the part is all rim.
 *
 * @param alike how much two places may differ to count as alike
 * @param worthOf what a spot is worth, from those near by and how far it is from the middle as a share of the part's size
 */
function bestBy(
  surface: PartSurface,
  alike: number,
  worthOf: (spot: SpotOnPart, near: readonly SpotOnPart[], away: number) => number,
): Vec2 | null {
  const { spots, near } = spotsOver(surface)
  const size = Math.sqrt(surface.figures.areaMm2)
  const rim = outlineGauge(surface.outline.polygon)
  const middle = centroid(surface.outline.polygon)
  const worths: Worth[] = []
  let side = 0
  for (const spot of spots) {
    const onRim = rim.nearest(spot.at, side)
    side = onRim.side
    if (onRim.distanceMm < fromRimShare * size) continue
    const around = near(spot, reachShare * size)
    if (around.length > 3) worths.push({ at: spot.at, worth: worthOf(spot, around, distance(spot.at, middle) / size) })
  }
  return bestPlace(worths, reachShare * size, alike)
}

/** The bottoms of recesses and channels; on a form without any, the place that lies deepest in its surroundings. */
export function deepestOf(form: FormDoc, surface: PartSurface): NamedSpot & { readonly line: readonly Vec2[] } {
  const channel = [...(form.channels ?? [])].sort((a, b) => b.depthMm - a.depthMm)[0]
  const recess = [...form.recesses].sort((a, b) => b.depthMm - a.depthMm)[0]
  if (channel !== undefined && channel.depthMm >= (recess?.depthMm ?? 0)) {
    const at = channel.along[Math.floor(channel.along.length / 2)] ?? [0, 0]
    return { at, line: channel.along, label: say`bottom of the ${name(channel.name)}` }
  }
  if (recess !== undefined) {
    const at = centroid(recess.outline)
    return { at, line: [at], label: say`bottom of the ${name(recess.name)}` }
  }
  const at = extremeOf(surface, -1)
  return { at, line: [at], label: whereOnForm(say`deepest place`, form, surface, at) }
}

/** The tops of raised features; on a form without any, the place that stands out most. */
export function highestOf(form: FormDoc, surface: PartSurface): NamedSpot[] {
  const raised = (form.raised ?? []).map((feature) => ({
    at: centroid(feature.outline),
    label: say`top of the ${name(feature.name)}`,
  }))
  if (raised.length > 0) return raised
  const at = extremeOf(surface, 1)
  return [{ at, label: whereOnForm(say`highest place`, form, surface, at) }]
}
