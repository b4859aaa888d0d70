import type { Vec2 } from '../geometry/index.ts'
import type { FormDoc, OutlineSegment } from './formTypes.ts'
import { mirroredRelief } from './relief.ts'

/** What the other side is called: words to swap in labels, such as "driver's" and "passenger's". */
export interface Mirror {
  readonly id: string
  readonly name: string
  readonly swap: readonly (readonly [string, string])[]
}

/**
 * The form of the other side of the vehicle: every measured place mirrored left to right, every label with its side
 * words swapped. Names of edges, marks and features stay, so that a mirrored pattern still finds its marks.
 */
export function mirrorForm(form: FormDoc, { id, name, swap }: Mirror): FormDoc {
  const words = (text: string) => swapWords(text, swap)
  const start = flip(form.start)
  const { right, left } = form.directions
  return {
    ...form,
    id,
    name,
    start,
    outline: form.outline.map(flipSegment),
    edges: form.edges.map((edge) => ({ ...edge, label: words(edge.label) })),
    // The drawing is turned over left to right, and so are the words for its two sides; then they swap sides.
    directions: { ...form.directions, right: words(left), left: words(right) },
    bow: form.bow.map((reading) => ({
      ...reading,
      name: words(reading.name),
      from: flip(reading.from),
      to: flip(reading.to),
    })),
    ...(form.spots === undefined ? {} : { spots: form.spots.map((spot) => ({ ...spot, at: flip(spot.at) })) }),
    ...(form.relief === undefined ? {} : { relief: mirroredRelief(form.relief) }),
    bodyLines: form.bodyLines.map((line) => ({ ...line, name: words(line.name), along: line.along.map(flip) })),
    recesses: form.recesses.map((recess) => ({ ...recess, outline: recess.outline.map(flip) })),
    ...(form.raised === undefined
      ? {}
      : { raised: form.raised.map((raised) => ({ ...raised, outline: raised.outline.map(flip) })) }),
    ...(form.channels === undefined
      ? {}
      : { channels: form.channels.map((channel) => ({ ...channel, along: channel.along.map(flip) })) }),
    ...(form.obstacles === undefined
      ? {}
      : { obstacles: form.obstacles.map((o) => ({ ...o, name: words(o.name), at: flip(o.at) })) }),
    holes: form.holes.map((hole) => ({ ...hole, label: words(hole.label), outline: hole.outline.map(flip) })),
    marks: form.marks.map((mark) => ({ ...mark, label: words(mark.label), at: flip(mark.at) })),
  }
}

/** A spot seen in the mirror. Zero stays plain zero, so that mirroring twice gives the same document. */
export const flip = ([x, y]: Vec2): Vec2 => [x === 0 ? 0 : -x, y]

function flipSegment(segment: OutlineSegment): OutlineSegment {
  const to = flip(segment.to)
  if (segment.kind === 'line') return { ...segment, to }
  if (segment.kind === 'spline') return { ...segment, to, through: segment.through.map(flip) }
  return { ...segment, to, turn: segment.turn === 'left' ? 'right' : 'left' }
}

function swapWords(text: string, swap: Mirror['swap']): string {
  const other = new Map(swap.flatMap(([a, b]) => [[a, b] as const, [b, a] as const]))
  if (other.size === 0) return text
  const pattern = new RegExp([...other.keys()].map((w) => w.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')).join('|'), 'g')
  return text.replace(pattern, (word) => other.get(word) ?? word)
}
