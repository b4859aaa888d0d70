import {
  boundsOf,
  centroid,
  contains,
  distance,
  nearestOnOutline,
  outlineGauge,
  triangleLocator,
  type Vec2,
  vertexNormals,
} from '../../geometry/index.ts'
import type { FormDoc, PartSurface } from '../../form/index.ts'
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

/** One end of the part along its longer side: the one with a reference mark, else the left or the lower one. */
export function endOf(
  form: FormDoc,
  surface: PartSurface,
): NamedSpot & { readonly line: readonly Vec2[]; readonly lineLabel: Sentence } {
  const { min, max } = boundsOf(surface.outline.polygon)
  const wide = max[0] - min[0] >= max[1] - min[1]
  const middle: Vec2 = [(min[0] + max[0]) / 2, (min[1] + max[1]) / 2]
  const low: Vec2 = wide ? [min[0], middle[1]] : [middle[0], min[1]]
  const mark = [...form.marks].sort((a, b) => distance(a.at, low) - distance(b.at, low))[0]
  const k = wide ? 0 : 1
  const near = mark !== undefined && mark.at[k] - min[k] < 0.25 * (max[k] - min[k]) ? mark : undefined
  const line = surface.outline.polygon.filter((p) => p[k] - min[k] < 0.06 * (max[k] - min[k]))
  const at = near?.at ?? line[Math.floor(line.length / 2)] ?? low
  const inward: Vec2 = [middle[0] - at[0], middle[1] - at[1]]
  const length = Math.hypot(...inward) || 1
  const end = name(wide ? form.directions.left : form.directions.down)
  const reach = Math.min(25, 0.05 * length + 10)
  return {
    at: [at[0] + (reach * inward[0]) / length, at[1] + (reach * inward[1]) / length],
    label: near === undefined ? say`end towards ${end}` : verbatim(near.label),
    line,
    lineLabel: say`the end towards ${end}`,
  }
}

/**
 * How much nearer to the middle a place has to be to be taken though its surroundings turn more: radians over the length
 * of the part. Of places that are alike the one is taken from which the ways are shortest.
 */
const turnPerPart = 0.04

/** The place whose surroundings turn least: where normals within a sixth of the part agree best. */
export function flattestOf(form: FormDoc, surface: PartSurface): NamedSpot {
  const spots = spotsOver(surface)
  const size = Math.sqrt(surface.figures.areaMm2)
  const reach = size / 6
  const rim = outlineGauge(surface.outline.polygon)
  const middle = centroid(surface.outline.polygon)
  const worths: Worth[] = []
  for (const { at, normal } of spots) {
    if (rim.nearest(at, 0).distanceMm < reach * 0.6) continue
    let agree = 0
    let near = 0
    for (const other of spots) {
      if (distance(other.at, at) > reach) continue
      agree += normal[0] * other.normal[0] + normal[1] * other.normal[1] + normal[2] * other.normal[2]
      near++
    }
    const turnRad = Math.sqrt(Math.max(0, 2 * (1 - agree / near)))
    if (near > 3) worths.push({ at, worth: -turnRad - (turnPerPart * distance(at, middle)) / size })
  }
  const best = bestOf(worths, reach, turnPerPart / 10)
  if (best === null) return centreOf(form, surface)
  return { at: best, label: whereOnForm(say`flattest place`, form, surface, best) }
}

/** The spot that stands out most of its surroundings (sign 1) or lies deepest in them (sign -1). */
function extremeOf(surface: PartSurface, sign: 1 | -1): Vec2 {
  const spots = spotsOver(surface)
  const size = Math.sqrt(surface.figures.areaMm2)
  const reach = size / 6
  const rim = outlineGauge(surface.outline.polygon)
  const middle = centroid(surface.outline.polygon)
  const worths: Worth[] = []
  for (const { at, normal, position } of spots) {
    // Near the rim half of what surrounds a place is missing.
    if (rim.nearest(at, 0).distanceMm < reach * 0.6) continue
    let sum = 0
    let near = 0
    for (const other of spots) {
      if (distance(other.at, at) > reach) continue
      for (let k = 0; k < 3; k++) sum += normal[k]! * (position[k]! - other.position[k]!)
      near++
    }
    // What turns by an angle over a reach stands out by about a quarter of their product.
    worths.push({ at, worth: (sign * sum) / near - (turnPerPart * reach * distance(at, middle)) / (2 * size) })
  }
  return bestOf(worths, reach, (turnPerPart * reach) / 10) ?? middle
}

/** What a spot is worth as a place of some kind, more being better. */
interface Worth {
  readonly at: Vec2
  readonly worth: number
}

/**
 * The place that is worth most: the mean of the spots round the best one, those counting that are worth as much to within
 * `alike`. So the place does not jump when two spots are nearly worth the same.
 */
function bestOf(spots: readonly Worth[], reachMm: number, alike: number): Vec2 | null {
  const best = spots.reduce<Worth | null>((most, spot) => (most === null || spot.worth > most.worth ? spot : most), null)
  if (best === null) return null
  let [x, y, sum] = [0, 0, 0]
  for (const { at, worth } of spots) {
    if (distance(at, best.at) > reachMm) continue
    const weight = Math.exp((worth - best.worth) / alike)
    x += weight * at[0]
    y += weight * at[1]
    sum += weight
  }
  return [x / sum, y / sum]
}

/** A spot of the part, on the drawing and in space, mm, with the direction in which its surface faces. */
interface SpotOnPart {
  readonly at: Vec2
  readonly position: readonly [number, number, number]
  readonly normal: readonly [number, number, number]
}

/** Fine enough that a place is found to a few centimetres on a bonnet; all pairs are looked at. */
const spotsOnPart = 900

/** Spots in rows over the whole part, at places that do not depend on its mesh. */
function spotsOver({ mesh, plan, outline, holes }: PartSurface): SpotOnPart[] {
  const { min, max } = boundsOf(outline.polygon)
  const [wide, high] = [max[0] - min[0], max[1] - min[1]]
  const stepMm = Math.sqrt((wide * high) / spotsOnPart)
  const [columns, rows] = [Math.max(3, Math.round(wide / stepMm)), Math.max(3, Math.round(high / stepMm))]
  const locate = triangleLocator(plan, mesh.triangle)
  const normals = vertexNormals(mesh)
  const spots: SpotOnPart[] = []
  for (let row = 0; row < rows; row++) {
    for (let column = 0; column < columns; column++) {
      const at: Vec2 = [min[0] + ((column + 0.5) * wide) / columns, min[1] + ((row + 0.5) * high) / rows]
      if (!contains(outline.polygon, at) || holes.some((hole) => contains(hole.polygon, at))) continue
      const { triangle, weight } = locate.nearest(at)
      const between = (of: Float64Array): [number, number, number] => {
        const sum: [number, number, number] = [0, 0, 0]
        for (let c = 0; c < 3; c++)
          for (let k = 0; k < 3; k++) sum[k]! += weight[c]! * of[3 * mesh.triangle[3 * triangle + c]! + k]!
        return sum
      }
      const normal = between(normals)
      const length = Math.hypot(...normal) || 1
      const facing: [number, number, number] = [normal[0] / length, normal[1] / length, normal[2] / length]
      spots.push({ at, position: between(mesh.position), normal: facing })
    }
  }
  return spots
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
