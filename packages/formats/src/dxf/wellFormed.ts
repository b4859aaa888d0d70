import { count, name, say } from '@truelay/core/say'
import { drawingLimits, TooMuch } from '../drawing/index.ts'

/** One group of a DXF: its code and its value, as they stand in two lines. */
type Group = readonly [code: number, value: string]

/** A DXF of which nothing is left but what is drawn, in a form that its parser reads in one go. */
export interface WellFormed {
  readonly text: string
  /** Kinds of shapes that are passed over, with how many there are. */
  readonly passedOver: ReadonlyMap<string, number>
}

const drawn = new Set([
  'LINE',
  'LWPOLYLINE',
  'POLYLINE',
  'VERTEX',
  'SEQEND',
  'CIRCLE',
  'ARC',
  'ELLIPSE',
  'SPLINE',
  'POINT',
  'TEXT',
  'MTEXT',
  'INSERT',
])

/**
 * Reads the groups of a DXF and writes anew what is drawn in it: the unit, the blocks and the shapes. The parser behind it never ends where a
 * polyline has no end or a vertex has an unusual group, and believes whatever a file says of its counts; so sections, blocks and polylines have
 * to close, vertices are counted here, and all else is left out. Throws `TooMuch` where the file is not so.
 */
export function wellFormed(text: string): WellFormed {
  const passedOver = new Map<string, number>()
  const out: string[] = []
  const put = (...groups: readonly Group[]) => {
    for (const [code, value] of groups) out.push(String(code), value)
  }
  const all = groupsOf(text)
  let at = 0
  let shapes = 0

  /** The next entity with all its groups: from its code 0 to the next one. */
  const entity = (): readonly Group[] => {
    const from = at++
    while (at < all.length && all[at]?.[0] !== 0) at++
    return all.slice(from, at)
  }
  const kindHere = () => all[at]?.[1] ?? 'EOF'
  const endsEarly = () => new TooMuch(say`an end that comes too early`)

  const shape = (groups: readonly Group[]) => {
    const kind = groups[0]?.[1] ?? ''
    if (++shapes > drawingLimits.elements) throw new TooMuch(say`more than ${count(drawingLimits.elements)} shapes`)
    if (!drawn.has(kind)) passedOver.set(kind, (passedOver.get(kind) ?? 0) + 1)
    else if (kind === 'LWPOLYLINE') put(...polylineOf(groups))
    else if (kind !== 'VERTEX' && kind !== 'SEQEND') put(...groups)
  }
  /** Shapes up to an end; a polyline takes its vertices and its own end with it. */
  const shapesTo = (end: string) => {
    while (kindHere() !== end) {
      if (at >= all.length || ['EOF', 'SECTION', 'ENDSEC', 'ENDBLK'].includes(kindHere())) throw endsEarly()
      const groups = entity()
      shape(groups)
      if (groups[0]?.[1] !== 'POLYLINE') continue
      while (kindHere() === 'VERTEX') {
        if (++shapes > drawingLimits.points) throw new TooMuch(say`more than ${count(drawingLimits.points)} points`)
        put(...entity())
      }
      // Its end may be missing where nothing else follows: it is written in any case.
      if (kindHere() === 'SEQEND') entity()
      put([0, 'SEQEND'])
    }
  }
  const sections: Readonly<Record<string, () => void>> = {
    HEADER() {
      const unit = all.findIndex(([code, value], i) => i >= at && code === 9 && value === '$INSUNITS')
      while (at < all.length && kindHere() !== 'ENDSEC') entity()
      if (unit >= 0 && unit < at) put([9, '$INSUNITS'], all[unit + 1] ?? [70, '0'])
    },
    BLOCKS() {
      while (kindHere() === 'BLOCK') {
        put(...entity())
        shapesTo('ENDBLK')
        put(...entity())
      }
    },
    ENTITIES: () => shapesTo('ENDSEC'),
  }

  while (at < all.length && kindHere() !== 'EOF') {
    if (kindHere() !== 'SECTION') {
      entity()
      continue
    }
    const head = entity()
    const section = head.find(([code]) => code === 2)?.[1] ?? ''
    const read = sections[section]
    // The groups of the header follow its name without a code 0 between.
    if (section === 'HEADER') at -= head.length - 2
    if (read !== undefined) {
      put([0, 'SECTION'], [2, section])
      read()
      put([0, 'ENDSEC'])
    }
    while (at < all.length && kindHere() !== 'ENDSEC') {
      if (kindHere() === 'SECTION' || kindHere() === 'EOF') throw endsEarly()
      entity()
    }
    if (at >= all.length) throw endsEarly()
    entity()
  }
  put([0, 'EOF'])
  return { text: out.join('\n'), passedOver }
}

function groupsOf(text: string): Group[] {
  const lines = text.split(/\r\n|\r|\n/)
  const groups: Group[] = []
  for (let i = 0; i + 1 < lines.length; i += 2) {
    const code = Number.parseInt(lines[i] ?? '', 10)
    if (!Number.isInteger(code))
      throw new TooMuch(say`no group code in line ${count(i + 1)}: "${name((lines[i] ?? '').trim().slice(0, 20))}"`)
    groups.push([code, code === 0 ? (lines[i + 1] ?? '').trim() : (lines[i + 1] ?? '')])
  }
  return groups
}

/** Groups of a vertex that are read: x, y, bulge. */
const ofVertex = new Set([10, 20, 42])
/** Groups that stand for each vertex and are not read, such as widths and ids. */
const besideVertex = new Set([30, 40, 41, 91])

/** A polyline with as many vertices as it has, one after the other; nothing where it has none. */
function polylineOf(groups: readonly Group[]): Group[] {
  const [head, ...more] = groups
  const first = more.findIndex(([code]) => code === 10)
  if (head === undefined || first < 0) return []
  const own = more.filter(([code]) => code !== 90 && !ofVertex.has(code) && !besideVertex.has(code))
  const vertices = more.filter(([code]) => ofVertex.has(code))
  const count = vertices.filter(([code]) => code === 10).length
  return [head, ...own, [90, String(count)], ...vertices.slice(vertices.findIndex(([code]) => code === 10))]
}
