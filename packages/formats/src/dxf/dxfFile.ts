import { count, say } from '@truelay/core/say'
import { drawingLimits, TooMuch } from '../drawing/index.ts'
import { type Group, Groups, groupsOf } from './groups.ts'

/** A shape of a DXF, not yet drawn. */
export interface DxfShape {
  readonly kind: string
  readonly groups: Groups
  /** Of a polyline that has them as shapes of their own. */
  readonly vertices: readonly Groups[]
}

export interface DxfLayer {
  readonly off: boolean
  readonly frozen: boolean
}

/** What of a DXF a pattern can come from: its unit, layers, blocks and shapes. */
export interface DxfFile {
  /** $INSUNITS of the header; null where it has none. */
  readonly unit: number | null
  /** By name, in small letters: no program tells them apart. */
  readonly layers: ReadonlyMap<string, DxfLayer>
  readonly blocks: ReadonlyMap<
    string,
    { readonly base: readonly [number, number]; readonly shapes: readonly DxfShape[] }
  >
  readonly shapes: readonly DxfShape[]
}

/** Throws `TooMuch` where sections, blocks or polylines do not close, or where there is more than any pattern needs. */
export function dxfFileOf(text: string): DxfFile {
  return new Reader(groupsOf(text)).file()
}

class Reader {
  private at = 0
  private shapesSeen = 0
  private verticesSeen = 0
  private unit: number | null = null
  private readonly layers = new Map<string, DxfLayer>()
  private readonly blocks = new Map<string, { base: readonly [number, number]; shapes: readonly DxfShape[] }>()
  private shapes: readonly DxfShape[] = []

  constructor(private readonly all: readonly Group[]) {}

  file(): DxfFile {
    while (this.at < this.all.length && this.kind !== 'EOF') {
      if (this.kind === 'SECTION') this.section()
      else this.next()
    }
    const { unit, layers, blocks, shapes } = this
    return { unit, layers, blocks, shapes }
  }

  private get kind(): string {
    return this.all[this.at]?.[1] ?? 'EOF'
  }

  /** From a code 0 to the next one. */
  private next(): Groups {
    const from = this.at++
    while (this.at < this.all.length && this.all[this.at]?.[0] !== 0) this.at++
    return new Groups(this.all.slice(from, this.at))
  }

  private section(): void {
    const head = this.next()
    switch (head.text(2)) {
      case 'HEADER':
        this.unit = unitOf(head)
        break
      case 'TABLES':
        this.tables()
        break
      case 'BLOCKS':
        this.readBlocks()
        break
      case 'ENTITIES':
        this.shapes = this.shapesTo('ENDSEC')
        break
    }
    while (this.at < this.all.length && this.kind !== 'ENDSEC') {
      if (this.kind === 'SECTION' || this.kind === 'EOF') throw endsEarly()
      this.next()
    }
    if (this.at >= this.all.length) throw endsEarly()
    this.next()
  }

  private tables(): void {
    while (this.at < this.all.length && !['ENDSEC', 'SECTION', 'EOF'].includes(this.kind)) {
      const isLayer = this.kind === 'LAYER'
      const entry = this.next()
      if (!isLayer) continue
      // A layer that is off has a colour below nothing.
      this.layers.set((entry.text(2) ?? '').toLowerCase(), { off: entry.number(62, 7) < 0, frozen: entry.flag(70, 1) })
    }
  }

  private readBlocks(): void {
    while (this.kind === 'BLOCK') {
      const head = this.next()
      const shapes = this.shapesTo('ENDBLK')
      this.blocks.set((head.text(2) ?? '').toLowerCase(), { base: head.point(10) ?? [0, 0], shapes })
      this.next()
    }
  }

  private shapesTo(end: string): DxfShape[] {
    const shapes: DxfShape[] = []
    while (this.kind !== end) {
      if (this.at >= this.all.length || ['EOF', 'SECTION', 'ENDSEC', 'ENDBLK'].includes(this.kind)) throw endsEarly()
      if (++this.shapesSeen > drawingLimits.elements)
        throw new TooMuch(say`more than ${count(drawingLimits.elements)} shapes`)
      const { kind } = this
      const groups = this.next()
      const vertices: Groups[] = []
      while (kind === 'POLYLINE' && this.kind === 'VERTEX') {
        if (++this.verticesSeen > drawingLimits.points)
          throw new TooMuch(say`more than ${count(drawingLimits.points)} points`)
        vertices.push(this.next())
      }
      if (kind !== 'SEQEND' && kind !== 'VERTEX') shapes.push({ kind, groups, vertices })
    }
    return shapes
  }
}

const endsEarly = () => new TooMuch(say`an end that comes too early`)

/** The value of a variable of the header follows its name. */
function unitOf(header: Groups): number | null {
  const i = header.all.findIndex(([code, value]) => code === 9 && value.trim() === '$INSUNITS')
  return i < 0 ? null : Number.parseInt(header.all[i + 1]?.[1] ?? '', 10)
}
