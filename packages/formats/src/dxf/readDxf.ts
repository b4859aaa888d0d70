import { type Sentence, count, name, say, verbatim } from '@truelay/core/say'
import type { Vec2 } from '@truelay/core/geometry'
import DxfParser, { type IDxf, type IEntity } from 'dxf-parser'
import {
  type Affine,
  after,
  apply,
  arcPoints,
  bulgePoints,
  curveToleranceMm,
  type Drawing,
  type DrawingCollector,
  drawingCollector,
  drawingLimits,
  same,
  splinePoints,
  TooMuch,
} from '../drawing/index.ts'
import { type FileResult, read, unreadable } from '../result/index.ts'
import { wellFormed } from './wellFormed.ts'

const refuse = (why: Sentence, fix = say`Export it again as a plain text DXF.`) =>
  unreadable('DXF_UNREADABLE', say`The DXF cannot be read: ${why}.`, fix)

/** $INSUNITS of the header, as far as a pattern can be drawn in them. */
const mmPerUnit: Readonly<Record<number, number>> = {
  1: 25.4,
  2: 304.8,
  4: 1,
  5: 10,
  6: 1000,
  8: 2.54e-5,
  9: 0.0254,
  14: 100,
}

interface Point {
  readonly x: number
  readonly y: number
  readonly bulge?: number
}
type Entity = IEntity & {
  readonly vertices?: readonly Point[]
  readonly shape?: boolean
  readonly center?: Point
  readonly radius?: number
  readonly startAngle?: number
  readonly endAngle?: number
  readonly majorAxisEndPoint?: Point
  readonly axisRatio?: number
  readonly controlPoints?: readonly Point[]
  readonly fitPoints?: readonly Point[]
  readonly knotValues?: readonly number[]
  readonly degreeOfSplineCurve?: number
  readonly weights?: readonly number[]
  readonly closed?: boolean
  readonly position?: Point
  readonly startPoint?: Point
  readonly text?: string
  readonly name?: string
  readonly xScale?: number
  readonly yScale?: number
  readonly rotation?: number
  readonly extrusionDirection?: { readonly z: number }
}

/**
 * The lines of a DXF drawing: lines, polylines with bulges, arcs, circles, ellipses, splines, points, and blocks with
 * their inserts. Texts next to points name them; everything else is counted as left out.
 */
export function readDxf(text: string): FileResult<Drawing> {
  if (text.length > drawingLimits.bytes)
    return refuse(say`it is larger than ${count(drawingLimits.bytes / 1e6)} MB`, say`Export the outline only.`)
  if (text.startsWith('AutoCAD Binary')) return refuse(say`it is a binary DXF`, say`Export it as a text DXF.`)
  if (!/\bSECTION\b/.test(text)) return refuse(say`it has no sections`)
  let dxf: IDxf | null
  let passedOver: ReadonlyMap<string, number>
  try {
    const drawn = wellFormed(text)
    passedOver = drawn.passedOver
    dxf = new DxfParser().parseSync(drawn.text)
  } catch (error) {
    if (error instanceof TooMuch) return refuse(say`it has ${error.says}`)
    return refuse(
      error instanceof Error ? verbatim((error.message.split('\n')[0] ?? '').slice(0, 120)) : say`it is damaged`,
    )
  }
  if (dxf === null || !Array.isArray(dxf.entities) || dxf.entities.length === 0)
    return refuse(say`nothing is drawn in it`)
  try {
    return read(collect(dxf, passedOver))
  } catch (error) {
    if (error instanceof TooMuch) return refuse(say`it has ${error.says}`, say`Check what was exported.`)
    return refuse(say`one of its shapes is broken`)
  }
}

function collect(dxf: IDxf, passedOver: ReadonlyMap<string, number>): Drawing {
  const into = drawingCollector()
  for (const [kind, many] of passedOver) into.leave(say`${name(kind)} entities`, many)
  const units = (dxf.header as { $INSUNITS?: number } | undefined)?.$INSUNITS
  const unit = units === undefined ? null : (mmPerUnit[units] ?? null)
  const texts: { at: Vec2; text: string }[] = []
  const bare: { at: Vec2; layers: string[] }[] = []
  let seen = 0

  const walk = (entities: readonly IEntity[], place: Affine, layers: readonly string[], depth: number): void => {
    if (depth > 8) throw new TooMuch(say`blocks nested without end`)
    for (const plain of entities) {
      const entity = plain as Entity
      if (++seen > drawingLimits.elements) throw new TooMuch(say`more than ${count(drawingLimits.elements)} shapes`)
      const on = [...layers, entity.layer ?? '0']
      if (entity.type === 'INSERT') {
        const block = entity.name === undefined ? undefined : dxf.blocks?.[entity.name]
        if (block?.entities === undefined) {
          into.leave(say`blocks that are not in the file`)
          continue
        }
        walk(block.entities, after(place, insertion(entity, block.position)), [...on, entity.name ?? ''], depth + 1)
        continue
      }
      const turned = entity.extrusionDirection?.z === -1 ? after(place, [-1, 0, 0, 1, 0, 0]) : place
      const put = (points: readonly Vec2[], closed: boolean) =>
        into.line({ points: points.map((p) => apply(turned, p)), closed, layers: on })
      if (entity.type === 'POINT' && entity.position)
        bare.push({ at: apply(turned, [entity.position.x, entity.position.y]), layers: on })
      else if ((entity.type === 'TEXT' || entity.type === 'MTEXT') && entity.text) {
        const spot = entity.startPoint ?? entity.position
        if (spot) texts.push({ at: apply(turned, [spot.x, spot.y]), text: entity.text.slice(0, 60) })
      } else draw(entity, put, into, curveToleranceMm / ((unit ?? 1) * scaleOf(turned)))
    }
  }
  walk(dxf.entities, same, [], 0)

  const named = new Set<number>()
  for (const { at, layers } of bare) {
    const index = texts.findIndex((t, i) => !named.has(i) && Math.hypot(t.at[0] - at[0], t.at[1] - at[1]) < 1e-3)
    if (index >= 0) named.add(index)
    into.point({ at, name: texts[index]?.text ?? null, layers })
  }
  texts.forEach((_, i) => {
    if (!named.has(i)) into.leave(say`texts`)
  })
  return into.finish(unit)
}

function insertion(entity: Entity, base: Point | undefined): Affine {
  const turn = ((entity.rotation ?? 0) * Math.PI) / 180
  const [sx, sy] = [entity.xScale ?? 1, entity.yScale ?? 1]
  const at = entity.position ?? { x: 0, y: 0 }
  const spin: Affine = [Math.cos(turn) * sx, Math.sin(turn) * sx, -Math.sin(turn) * sy, Math.cos(turn) * sy, at.x, at.y]
  return after(spin, [1, 0, 0, 1, -(base?.x ?? 0), -(base?.y ?? 0)])
}

const scaleOf = ([a, b, c, d]: Affine) => Math.max(1e-9, Math.sqrt(Math.abs(a * d - b * c)))

const at = ({ x, y }: Point): Vec2 => [x, y]

function draw(
  entity: Entity,
  put: (points: readonly Vec2[], closed: boolean) => void,
  into: DrawingCollector,
  tolerance: number,
): unknown {
  const { center, radius } = entity
  switch (entity.type) {
    case 'LINE':
      return put((entity.vertices ?? []).map(at), false)
    case 'LWPOLYLINE':
    case 'POLYLINE': {
      const vertices = entity.vertices ?? []
      const closed = entity.shape === true
      const points: Vec2[] = []
      vertices.forEach((vertex, i) => {
        if (i === 0) points.push(at(vertex))
        const next = vertices[i + 1] ?? (closed ? vertices[0] : undefined)
        if (next) points.push(...bulgePoints(at(vertex), at(next), vertex.bulge ?? 0, tolerance))
      })
      if (closed) points.pop()
      return put(points, closed)
    }
    case 'CIRCLE':
      if (center && radius) put(arcPoints(at(center), radius, 0, 2 * Math.PI, tolerance).slice(0, -1), true)
      return
    case 'ARC': {
      if (!center || !radius) return
      const from = entity.startAngle ?? 0
      const to = entity.endAngle ?? 2 * Math.PI
      return put(arcPoints(at(center), radius, from, to > from ? to : to + 2 * Math.PI, tolerance), false)
    }
    case 'ELLIPSE': {
      const axis = entity.majorAxisEndPoint
      if (!center || !axis) return
      const from = entity.startAngle ?? 0
      const end = entity.endAngle ?? 2 * Math.PI
      const to = end > from ? end : end + 2 * Math.PI
      const whole = to - from > 2 * Math.PI - 1e-6
      const points = arcPoints(at(center), Math.hypot(axis.x, axis.y), from, to, tolerance, {
        ratio: entity.axisRatio ?? 1,
        turn: Math.atan2(axis.y, axis.x),
      })
      return put(whole ? points.slice(0, -1) : points, whole)
    }
    case 'SPLINE': {
      const control = entity.controlPoints ?? []
      const knots = entity.knotValues ?? []
      const degree = entity.degreeOfSplineCurve ?? 3
      if (control.length > degree && knots.length === control.length + degree + 1)
        return put(splinePoints(degree, knots, control.map(at), entity.weights ?? null), entity.closed === true)
      if ((entity.fitPoints?.length ?? 0) > 1) return into.leave(say`splines given by fit points only`)
      return into.leave(say`splines without their knots`)
    }
    default:
      return into.leave(say`${name(String(entity.type))} entities`)
  }
}
