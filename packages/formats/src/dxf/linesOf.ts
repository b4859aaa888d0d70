import { distance, type Vec2 } from '@truelay/core/geometry'
import { type LeftOut, leftOut, unknownKind } from '../drawing/leftOut.ts'
import { arcPoints, bulgePoints, smoothThrough, splinePoints } from '../drawing/index.ts'
import type { DxfShape } from './dxfFile.ts'
import type { Group, Groups } from './groups.ts'
import { unitVector } from './plane.ts'

export interface ShapeLine {
  readonly points: readonly Vec2[]
  readonly closed: boolean
}

/** The lines of a shape in its own plane, or why it has none. */
export function linesOf(shape: DxfShape, tolerance: number): readonly ShapeLine[] | LeftOut {
  const { kind, groups } = shape
  switch (kind) {
    case 'LINE':
      return [{ points: [groups.point(10) ?? [0, 0], groups.point(11) ?? [0, 0]], closed: false }]
    case 'LWPOLYLINE':
      return [bulged(lightVertices(groups), groups.flag(70, 1), tolerance)]
    case 'POLYLINE':
      return polyline(shape, tolerance)
    case 'CIRCLE':
      return circle(groups, tolerance)
    case 'ARC':
      return arc(groups, tolerance)
    case 'ELLIPSE':
      return ellipse(groups, tolerance)
    case 'SPLINE':
      return spline(groups, tolerance)
    case 'HATCH':
      return hatch(groups.all, tolerance)
    case 'SOLID':
    case 'TRACE':
      // Its last two corners are told crosswise.
      return [{ points: corners(groups, [10, 11, 13, 12]), closed: true }]
    case '3DFACE':
      return [{ points: corners(groups, [10, 11, 12, 13]), closed: true }]
    default:
      return unknownKind(kind)
  }
}

interface Vertex {
  readonly at: Vec2
  readonly bulge: number
}

/** Vertices of a polyline in one: the bulge stands after its point. */
function lightVertices({ all }: Groups): Vertex[] {
  const vertices: { at: [number, number]; bulge: number }[] = []
  for (const [code, value] of all) {
    const last = vertices.at(-1)
    if (code === 10) vertices.push({ at: [Number.parseFloat(value), 0], bulge: 0 })
    else if (code === 20 && last !== undefined) last.at[1] = Number.parseFloat(value)
    else if (code === 42 && last !== undefined) last.bulge = Number.parseFloat(value)
  }
  return vertices
}

function bulged(vertices: readonly Vertex[], closed: boolean, tolerance: number): ShapeLine {
  const points: Vec2[] = vertices[0] === undefined ? [] : [vertices[0].at]
  vertices.forEach((vertex, i) => {
    const next = vertices[i + 1] ?? (closed ? vertices[0] : undefined)
    if (next !== undefined) points.push(...bulgePoints(vertex.at, next.at, vertex.bulge, tolerance))
  })
  if (closed) points.pop()
  return { points, closed }
}

function polyline({ groups, vertices }: DxfShape, tolerance: number): readonly ShapeLine[] | LeftOut {
  if (groups.flag(70, 16) || groups.flag(70, 64)) return leftOut.meshes
  // The points that only pull a smoothed line stand among those that it goes through.
  const on = vertices.filter((vertex) => !vertex.flag(70, 16))
  const own = on.map((vertex): Vertex => ({ at: vertex.point(10) ?? [0, 0], bulge: vertex.number(42) }))
  return [bulged(own, groups.flag(70, 1), tolerance)]
}

const corners = (groups: Groups, codes: readonly number[]): Vec2[] =>
  codes.map((code) => groups.point(code)).filter((point) => point !== null)

function circle(groups: Groups, tolerance: number): readonly ShapeLine[] {
  const radius = Math.abs(groups.number(40))
  const whole = arcPoints(groups.point(10) ?? [0, 0], radius, 0, 2 * Math.PI, tolerance)
  return radius > 0 ? [{ points: whole.slice(0, -1), closed: true }] : []
}

const radians = (degrees: number) => (degrees * Math.PI) / 180
const round = 2 * Math.PI
/** The angle of an end that comes after its beginning, by no more than once round. */
const onward = (from: number, to: number) => {
  const turn = (to - from) % round
  return from + (turn <= 1e-12 ? turn + round : turn)
}

function arc(groups: Groups, tolerance: number): readonly ShapeLine[] {
  const from = radians(groups.number(50))
  const to = onward(from, radians(groups.number(51, 360)))
  const points = arcPoints(groups.point(10) ?? [0, 0], Math.abs(groups.number(40)), from, to, tolerance)
  return [{ points, closed: false }]
}

/** Stands in the drawing, not in a plane of its own: extruded downward it only turns the other way round. */
function ellipse(groups: Groups, tolerance: number): readonly ShapeLine[] {
  const axis = groups.point(11) ?? [0, 0]
  const down = groups.number(230, 1) < 0 ? -1 : 1
  const from = groups.number(41)
  const to = onward(from, groups.number(42, 2 * Math.PI))
  const whole = to - from > 2 * Math.PI - 1e-6
  const points = arcPoints(groups.point(10) ?? [0, 0], Math.hypot(...axis), from, to, tolerance, {
    ratio: down * groups.number(40, 1),
    turn: Math.atan2(axis[1], axis[0]),
  })
  return [{ points: whole ? points.slice(0, -1) : points, closed: whole }]
}

function spline(groups: Groups, tolerance: number): readonly ShapeLine[] | LeftOut {
  const closed = groups.flag(70, 1)
  const degree = groups.number(71, 3)
  const [knots, control, through] = [groups.numbers(40), groups.points(10), groups.points(11)]
  if (control.length > degree && knots.length === control.length + degree + 1) {
    const weights = groups.numbers(41)
    const points = splinePoints(degree, knots, control, weights.length === control.length ? weights : null, tolerance)
    return [{ points, closed }]
  }
  if (through.length < 2) return leftOut.splines
  const slope = (code: number) => unitVector(groups.point(code) ?? [0, 0])
  return [{ points: smoothThrough(through, closed, tolerance, { from: slope(12), to: slope(13) }), closed }]
}

/** The edges of a filled area, loop by loop; what it is filled with is no line. */
function hatch(groups: readonly Group[], tolerance: number): readonly ShapeLine[] | LeftOut {
  let at = groups.findIndex(([code]) => code === 91)
  if (at < 0) return leftOut.fills
  const next = (code: number): number => {
    while (at < groups.length && groups[at]?.[0] !== code) at++
    return Number.parseFloat(groups[at++]?.[1] ?? '0')
  }
  const peek = () => groups[at]?.[0]
  const lines: ShapeLine[] = []
  const loops = Math.min(next(91), groups.length)
  for (let k = 0; k < loops && at < groups.length; k++) {
    const kind = next(92)
    if ((kind & 2) !== 0) {
      const hasBulge = next(72) !== 0
      const many = Math.min(next(93), groups.length)
      const vertices = Array.from({ length: many }, (): Vertex => {
        const vertex: Vec2 = [next(10), next(20)]
        return { at: vertex, bulge: hasBulge && peek() === 42 ? next(42) : 0 }
      })
      // A filled area is closed, whatever it says of its edge.
      lines.push(bulged(vertices, true, tolerance))
    } else {
      const many = Math.min(next(93), groups.length)
      const edges = Array.from({ length: many }, () => hatchEdge(next, peek, tolerance))
      lines.push({ points: endToEnd(edges), closed: true })
    }
  }
  return lines.filter(({ points }) => points.length > 2)
}

function hatchEdge(next: (code: number) => number, peek: () => number | undefined, tolerance: number): Vec2[] {
  switch (next(72)) {
    case 1:
      return [
        [next(10), next(20)],
        [next(11), next(21)],
      ]
    case 2: {
      const middle: Vec2 = [next(10), next(20)]
      const radius = next(40)
      const [from, to] = [radians(next(50)), radians(next(51))]
      const left = next(73) !== 0
      return left
        ? arcPoints(middle, radius, from, onward(from, to), tolerance)
        : arcPoints(middle, radius, -from, -onward(from, to), tolerance)
    }
    case 3: {
      const middle: Vec2 = [next(10), next(20)]
      const axis: Vec2 = [next(11), next(21)]
      const ratio = next(40)
      const [from, to] = [radians(next(50)), radians(next(51))]
      const sign = next(73) !== 0 ? 1 : -1
      const shape = { ratio, turn: Math.atan2(axis[1], axis[0]) }
      return arcPoints(middle, Math.hypot(...axis), sign * from, sign * onward(from, to), tolerance, shape)
    }
    case 4: {
      const degree = next(94)
      const rational = next(73) !== 0
      const [knotCount, controlCount] = [next(95), next(96)]
      const knots = Array.from({ length: Math.min(knotCount, 4000) }, () => next(40))
      const weights: number[] = []
      const control = Array.from({ length: Math.min(controlCount, 4000) }, (): Vec2 => {
        const point: Vec2 = [next(10), next(20)]
        if (rational && peek() === 42) weights.push(next(42))
        return point
      })
      if (control.length <= degree || knots.length !== control.length + degree + 1) return control
      return splinePoints(degree, knots, control, weights.length === control.length ? weights : null, tolerance)
    }
    default:
      return []
  }
}

/** Edges one after the other, each turned so that it begins where the last one ended. */
function endToEnd(edges: readonly (readonly Vec2[])[]): Vec2[] {
  const points: Vec2[] = []
  edges.forEach((edge, k) => {
    const [first, last] = [edge[0], edge.at(-1)]
    if (first === undefined || last === undefined) return
    const end = points.at(-1)
    const after = edges[k + 1]
    const near = (p: Vec2) =>
      Math.min(...[after?.[0], after?.at(-1)].map((q) => (q === undefined ? Number.POSITIVE_INFINITY : distance(p, q))))
    const flipped = end === undefined ? near(first) < near(last) : distance(end, last) < distance(end, first)
    const inOrder = flipped ? [...edge].reverse() : edge
    points.push(...(end !== undefined && distance(end, inOrder[0] as Vec2) < 1e-9 ? inOrder.slice(1) : inOrder))
  })
  return points
}
