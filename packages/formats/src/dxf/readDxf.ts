import type { Vec2 } from '@truelay/core/geometry'
import { count, say, type Sentence } from '@truelay/core/say'
import { type LeftOut, leftOut } from '../drawing/leftOut.ts'
import {
  type Affine,
  after,
  apply,
  curveToleranceMm,
  type Drawing,
  type DrawingCollector,
  drawingCollector,
  drawingLimits,
  mostScale,
  same,
  TooMuch,
} from '../drawing/index.ts'
import { type FileResult, read, unreadable } from '../result/index.ts'
import { type DxfFile, type DxfShape, dxfFileOf } from './dxfFile.ts'
import type { Groups } from './groups.ts'
import { linesOf } from './linesOf.ts'
import { inOwnPlane, planeOf } from './plane.ts'
import { readable, textOf } from './texts.ts'

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
  10: 914.4,
  13: 0.001,
  14: 100,
  21: 1200 / 3.937,
}

/**
 * The lines of a DXF drawing, as they lie on its sheet: lines, polylines with bulges, arcs, circles, ellipses, splines, edges of filled areas,
 * points, and blocks with their inserts, arrays of them too. What cannot be seen in the drawing is left out. Texts next to points name them;
 * everything else is counted as left out.
 */
export function readDxf(text: string): FileResult<Drawing> {
  if (text.length > drawingLimits.bytes)
    return refuse(say`it is larger than ${count(drawingLimits.bytes / 1e6)} MB`, say`Export the outline only.`)
  if (text.startsWith('AutoCAD Binary')) return refuse(say`it is a binary DXF`, say`Export it as a text DXF.`)
  if (!/\bSECTION\b/.test(text)) return refuse(say`it has no sections`)
  try {
    const file = dxfFileOf(text)
    if (file.shapes.length === 0) return refuse(say`nothing is drawn in it`)
    return read(new Sheet(file).drawing())
  } catch (error) {
    if (error instanceof TooMuch) return refuse(say`it has ${error.says}`, say`Check what was exported.`)
    return refuse(say`one of its shapes is broken`)
  }
}

/** Kinds that fill an area. */
const areas: ReadonlySet<string> = new Set(['HATCH', 'SOLID', 'TRACE', '3DFACE'])

/** Where and on which layers shapes are drawn. */
interface Place {
  readonly at: Affine
  readonly layers: readonly string[]
  /** The layer that shapes of a block without one of their own lie on. */
  readonly layer: string
  readonly depth: number
}

class Sheet {
  private readonly into: DrawingCollector = drawingCollector()
  private readonly texts: { readonly at: Vec2; readonly text: string }[] = []
  private readonly bare: { readonly at: Vec2; readonly layers: readonly string[] }[] = []
  private readonly unit: number | null
  private seen = 0

  constructor(private readonly file: DxfFile) {
    this.unit = file.unit === null ? null : (mmPerUnit[file.unit] ?? null)
  }

  drawing(): Drawing {
    this.drawAll(this.file.shapes, { at: same, layers: [], layer: '0', depth: 0 })
    const named = new Set<number>()
    for (const { at, layers } of this.bare) {
      const index = this.texts.findIndex((t, i) => !named.has(i) && Math.hypot(t.at[0] - at[0], t.at[1] - at[1]) < 1e-3)
      if (index >= 0) named.add(index)
      this.into.point({ at, name: this.texts[index]?.text ?? null, layers })
    }
    if (this.texts.length > named.size) this.into.leave(leftOut.texts, this.texts.length - named.size)
    return this.into.finish(this.unit)
  }

  private drawAll(shapes: readonly DxfShape[], place: Place): void {
    if (place.depth > 8) throw new TooMuch(say`blocks nested without end`)
    for (const shape of shapes) {
      if (++this.seen > drawingLimits.elements)
        throw new TooMuch(say`more than ${count(drawingLimits.elements)} shapes`)
      this.draw(shape, place)
    }
  }

  private draw(shape: DxfShape, place: Place): unknown {
    const { kind, groups } = shape
    const own = readable(groups.text(8) ?? '0')
    const layer = own === '0' ? place.layer : own
    const unseen = this.unseen(groups, layer, kind === 'INSERT')
    if (unseen !== null) return this.into.leave(unseen)
    const plane = inOwnPlane.has(kind) ? planeOf(groups) : same
    if (plane === null) return this.into.leave(leftOut.outOfSheet)
    const at = after(place.at, plane)
    const layers = [...place.layers, own]
    switch (kind) {
      case 'INSERT':
        return this.insert(groups, { ...place, at, layers, layer })
      case 'POINT':
        this.bare.push({ at: apply(at, groups.point(10) ?? [0, 0]), layers })
        return
      case 'TEXT':
      case 'MTEXT':
        this.texts.push({ at: apply(at, groups.point(10) ?? [0, 0]), text: textOf(groups) })
        return
      case 'ATTRIB':
      case 'ATTDEF':
        return this.into.leave(leftOut.texts)
      default:
        return this.line(shape, at, layers)
    }
  }

  private line(shape: DxfShape, at: Affine, layers: readonly string[]): unknown {
    const lines = linesOf(shape, curveToleranceMm / ((this.unit ?? 25.4) * Math.max(1e-9, mostScale(at))))
    if (!Array.isArray(lines)) return this.into.leave(lines as LeftOut)
    const area = areas.has(shape.kind) ? { ofArea: true } : {}
    for (const { points, closed } of lines)
      this.into.line({ points: points.map((p: Vec2) => apply(at, p)), closed, layers, ...area })
  }

  /** Why a shape cannot be seen in the drawing; null where it can. A block whose layer is only off may hold shapes of other layers. */
  private unseen(groups: Groups, layer: string, isInsert: boolean): LeftOut | null {
    if (groups.number(67) === 1) return leftOut.onPaper
    if (groups.number(60) === 1) return leftOut.hidden
    const { off = false, frozen = false } = this.file.layers.get(layer.toLowerCase()) ?? {}
    return frozen || (off && !isInsert) ? leftOut.switchedOff : null
  }

  /** A block, once or in rows and columns. */
  private insert(groups: Groups, place: Place): unknown {
    const name = groups.text(2) ?? ''
    const block = this.file.blocks.get(name.toLowerCase())
    if (block === undefined) return this.into.leave(leftOut.blocks)
    const [columns, rows] = [70, 71].map((code) => Math.max(1, Math.trunc(groups.number(code, 1)))) as [number, number]
    if (columns * rows > drawingLimits.elements)
      throw new TooMuch(say`more than ${count(drawingLimits.elements)} shapes`)
    const turn = (groups.number(50) * Math.PI) / 180
    const [cos, sin] = [Math.cos(turn), Math.sin(turn)]
    const [sx, sy] = [groups.number(41, 1), groups.number(42, 1)]
    const [x, y] = groups.point(10) ?? [0, 0]
    for (let column = 0; column < columns; column++)
      for (let row = 0; row < rows; row++) {
        const [dx, dy] = [column * groups.number(44), row * groups.number(45)]
        const put: Affine = [cos * sx, sin * sx, -sin * sy, cos * sy, x + cos * dx - sin * dy, y + sin * dx + cos * dy]
        this.drawAll(block.shapes, {
          at: after(place.at, after(put, [1, 0, 0, 1, -block.base[0], -block.base[1]])),
          layers: [...place.layers, readable(name)],
          layer: place.layer,
          depth: place.depth + 1,
        })
      }
  }
}
