import {
  boundsOf,
  centroid,
  distance,
  outlineGauge,
  type Vec2,
  vertexCount,
  vertexNormals,
} from '../../geometry/index.ts'
import type { FormDoc, PartSurface } from '../../form/index.ts'
import { list, name, say, type Sentence, verbatim } from '../../say/index.ts'

/** A spot of the drawing with what an installer would call it. */
export interface NamedSpot {
  readonly label: Sentence
  readonly at: Vec2
}

const spotOf = (surface: PartSurface, v: number): Vec2 => [surface.plan[2 * v] ?? 0, surface.plan[2 * v + 1] ?? 0]

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

/** The spot of the part nearest to the middle of its area. */
export function centreOf(form: FormDoc, surface: PartSurface): NamedSpot {
  const middle = centroid(surface.outline.polygon)
  let best: Vec2 = middle
  let least = Number.POSITIVE_INFINITY
  for (let v = 0; v < vertexCount(surface.mesh); v++) {
    const d = distance(spotOf(surface, v), middle)
    if (d < least) {
      least = d
      best = spotOf(surface, v)
    }
  }
  return { at: best, label: least > 20 ? whereOnForm(say`centre`, form, surface, best) : say`centre` }
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

/** The place whose surroundings turn least: where normals within a sixth of the part agree best. */
export function flattestOf(form: FormDoc, surface: PartSurface): NamedSpot {
  const normals = vertexNormals(surface.mesh)
  const count = vertexCount(surface.mesh)
  const reach = Math.sqrt(surface.figures.areaMm2) / 6
  const stride = Math.max(1, Math.floor(count / 1200))
  const rim = outlineGauge(surface.outline.polygon)
  const fromLeft = Array.from({ length: Math.ceil(count / stride) }, (_, i) => i * stride)
    .map((v) => ({
      v,
      at: spotOf(surface, v),
      normal: [0, 1, 2].map((k) => normals[3 * v + k] ?? 0) as [number, number, number],
    }))
    .sort((a, b) => a.at[0] - b.at[0])
  let best: (typeof fromLeft)[number] | null = null
  let least = Number.POSITIVE_INFINITY
  let first = 0
  for (const place of fromLeft) {
    const { at, normal } = place
    while (at[0] - fromLeft[first]!.at[0] > reach) first++
    if (rim.nearest(at, 0).distanceMm < reach * 0.6) continue
    const sum = [0, 0, 0]
    let near = 0
    for (let n = first; n < fromLeft.length; n++) {
      const other = fromLeft[n]!
      const dx = other.at[0] - at[0]
      const dy = other.at[1] - at[1]
      if (dx > reach) break
      if (dx * dx + dy * dy > reach * reach) continue
      for (let k = 0; k < 3; k++) sum[k]! += other.normal[k]!
      near++
    }
    const turn = near - (normal[0] * sum[0]! + normal[1] * sum[1]! + normal[2] * sum[2]!)
    if (near > 3 && turn / near < least) {
      least = turn / near
      best = place
    }
  }
  if (best === null) return centreOf(form, surface)
  return { at: best.at, label: whereOnForm(say`flattest place`, form, surface, best.at) }
}

/** How much each vertex stands out of its surroundings (positive) or lies in a hollow, mm over a reach. */
export function standingOut(surface: PartSurface): Float64Array {
  const { plan, mesh } = surface
  const count = vertexCount(mesh)
  const reach = Math.sqrt(surface.figures.areaMm2) / 8
  const normals = vertexNormals(mesh)
  const stride = Math.max(1, Math.floor(count / 800))
  const out = new Float64Array(count)
  for (let v = 0; v < count; v++) {
    let sum = 0
    let near = 0
    for (let w = 0; w < count; w += stride) {
      const dx = (plan[2 * w] ?? 0) - (plan[2 * v] ?? 0)
      const dy = (plan[2 * w + 1] ?? 0) - (plan[2 * v + 1] ?? 0)
      if (dx * dx + dy * dy > reach * reach) continue
      for (let k = 0; k < 3; k++)
        sum += (normals[3 * v + k] ?? 0) * (mesh.position[3 * v + k]! - mesh.position[3 * w + k]!)
      near++
    }
    out[v] = near === 0 ? 0 : sum / near
  }
  return out
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

function extremeOf(surface: PartSurface, sign: 1 | -1): Vec2 {
  const out = standingOut(surface)
  const rim = new Set(surface.loops.flatMap((loop) => [...loop]))
  let best = 0
  let most = Number.NEGATIVE_INFINITY
  for (let v = 0; v < out.length; v++) {
    if (rim.has(v)) continue
    const value = sign * out[v]!
    if (value > most) {
      most = value
      best = v
    }
  }
  return spotOf(surface, best)
}
