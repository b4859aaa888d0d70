import { boundsOf, centroid, distance, type Vec2 } from '../../geometry/index.ts'
import type { FormDoc, PartSurface } from '../../form/index.ts'
import type { LayOrder, SchoolName } from './orderTypes.ts'
import { centreOf, cornersOf, deepestOf, edgeLine, endOf, flattestOf, highestOf, type NamedSpot } from './places.ts'
import { name, say, type Sentence } from '../../say/index.ts'

/** Figures of practice that orders are made from. */
export interface OrderPractice {
  /** Film released at once from a hinge, mm. */
  readonly releaseMm: number
  /** Steps in which a part is swept, about. */
  readonly sweeps: number
  /** On parts shorter than this the order seldom changes much, mm. */
  readonly smallMm: number
  /** A found order is better only where it saves this share of the trouble of the best school, over all meshes. */
  readonly worthShare: number
}

/**
 * 300 mm is what two hands keep level; a dozen sweeps is about a stroke width on a bonnet; strokes that are a few percent longer or
 * shorter change the trouble of an order by some 5 %, so what saves less is no better.
 */
export const orderDefaults: OrderPractice = { releaseMm: 300, sweeps: 12, smallMm: 450, worthShare: 0.05 }

/**
 * An order of laying by the rule of a school. Every rule works on every form: where a form has no recess, no raised
 * feature or no corner, the place that comes nearest to one is taken.
 */
export function orderBySchool(
  school: SchoolName,
  form: FormDoc,
  surface: PartSurface,
  practice: OrderPractice = orderDefaults,
): LayOrder {
  const { min, max } = boundsOf(surface.outline.polygon)
  const long = Math.max(max[0] - min[0], max[1] - min[1])
  const across = Math.hypot(max[0] - min[0], max[1] - min[1])
  const base = { school, made: 'by school' as const, flatFirst: 0, spiral: false, fromLabel: null }
  const anchor = (spot: { label: Sentence; at: Vec2 }, pullShare = 0) => ({ label: spot.label, at: spot.at, pullShare })
  switch (school) {
    case 'corners first': {
      // A piece is cut for the worked lay: with its gaps set, each corner lies where that has it.
      const corners = cornersOf(form, surface)
      const begin = form.edges.find((e) => e.code === 'stop-short')?.name ?? form.edges[0]?.name ?? ''
      const line = edgeLine(surface, begin)
      const inOrder = fromEdge(corners, line, form, surface)
      const start = inOrder[0]?.at ?? line[0] ?? [0, 0]
      const from = form.edges.length < 3 ? [start] : line
      const label = form.edges.find((e) => e.name === begin)?.label
      const fromLabel = form.edges.length < 3 || label === undefined ? null : say`the ${name(label)}`
      return { ...base, anchors: inOrder.map((c) => anchor(c, 1)), from, fromLabel, strokeMm: long / practice.sweeps }
    }
    case 'centre out': {
      const centre = centreOf(form, surface)
      return { ...base, anchors: [anchor(centre)], from: [centre.at], strokeMm: across / 2 / practice.sweeps }
    }
    case 'one end and follow': {
      const end = endOf(form, surface)
      return {
        ...base,
        anchors: [anchor(end)],
        from: end.line,
        fromLabel: end.lineLabel,
        strokeMm: long / practice.sweeps,
      }
    }
    case 'hinge and release': {
      const end = endOf(form, surface)
      const strokeMm = Math.min(practice.releaseMm, long / 4)
      return { ...base, anchors: [anchor(end)], from: end.line, fromLabel: end.lineLabel, strokeMm }
    }
    case 'flattest first': {
      const flat = flattestOf(form, surface)
      return { ...base, anchors: [anchor(flat)], from: [flat.at], flatFirst: 1, strokeMm: across / practice.sweeps }
    }
    case 'deepest first': {
      const deep = deepestOf(form, surface)
      return { ...base, anchors: [anchor(deep)], from: deep.line, strokeMm: across / 1.5 / practice.sweeps }
    }
    case 'raised first': {
      const tops = highestOf(form, surface)
      return {
        ...base,
        anchors: tops.map((top) => anchor(top)),
        from: tops.map((top) => top.at),
        strokeMm: across / 1.5 / practice.sweeps,
      }
    }
    case 'spiral': {
      const top = centreOf(form, surface)
      return { ...base, anchors: [anchor(top)], from: [top.at], spiral: true, strokeMm: across / 8 }
    }
  }
}

/**
 * Corners in the order in which they are fixed: from the end of an edge that lies nearer to a mark, or failing that farther
 * from the middle, along that edge and on round the part. A mirrored part is begun at the same corner of its own.
 */
function fromEdge(
  corners: readonly NamedSpot[],
  edge: readonly Vec2[],
  form: FormDoc,
  surface: PartSurface,
): NamedSpot[] {
  const first: Vec2 = edge[0] ?? [0, 0]
  const last: Vec2 = edge[edge.length - 1] ?? first
  const middle = centroid(surface.outline.polygon)
  const toMark = (p: Vec2) => Math.min(...form.marks.map((m) => distance(m.at, p)))
  const gain = form.marks.length > 0 ? toMark(first) - toMark(last) : 0
  const fromLast = Math.abs(gain) > clearlyMm ? gain > 0 : distance(last, middle) > distance(first, middle) + clearlyMm
  const begin = fromLast ? last : first
  const nearest = corners.reduce(
    (best, c, i) => (distance(c.at, begin) < distance(corners[best]!.at, begin) ? i : best),
    0,
  )
  const way = fromLast ? corners.length - 1 : 1
  return corners.map((_, k) => corners[(nearest + k * way) % corners.length]!)
}

const clearlyMm = 1
