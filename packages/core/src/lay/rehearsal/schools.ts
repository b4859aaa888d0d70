import { boundsOf, type Vec2 } from '../../geometry/index.ts'
import type { FormDoc, PartSurface } from '../../form/index.ts'
import type { LayOrder, SchoolName } from './orderTypes.ts'
import { centreOf, cornersOf, deepestOf, edgeLine, endOf, flattestOf, highestOf } from './places.ts'
import { name, say, type Sentence } from '../../say/index.ts'

/** Figures of practice that orders are made from. */
export interface OrderPractice {
  /** Film released at once from a hinge, mm. */
  readonly releaseMm: number
  /** Steps in which a part is swept, about. */
  readonly sweeps: number
}

/** 300 mm is what two hands keep level; a dozen sweeps is about a stroke width on a bonnet. */
export const orderDefaults: OrderPractice = { releaseMm: 300, sweeps: 12 }

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
      const start = line[0] ?? corners[0]?.at ?? [0, 0]
      const nearest = corners
        .map((c, i) => ({ i, d: Math.hypot(c.at[0] - start[0], c.at[1] - start[1]) }))
        .sort((a, b) => a.d - b.d)[0]
      const first = nearest?.i ?? 0
      const inOrder = corners.map((_, k) => corners[(first + k) % corners.length]!)
      const from = form.edges.length < 3 ? [inOrder[0]?.at ?? start] : line
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
