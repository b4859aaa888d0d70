import { count, name, say, type Sentence, verbatim } from '@truelay/core/say'
import type { FormDoc, OutlineSegment } from '@truelay/core/form'
import { boundsOf, distance, lerp, type Vec2 } from '@truelay/core/geometry'
import { ordinaryForm } from '@truelay/core/plan'

/** A point of a form that can be taken and moved. */
export interface Handle {
  readonly key: string
  readonly at: Vec2
  readonly label: Sentence
  readonly look: 'corner' | 'through' | 'bow' | 'mark' | 'line' | 'middle'
}

export type MeasuringStep = 'outline' | 'bow' | 'features' | 'edges' | 'marks'

const snapMm = 0.5
export const snapped = ([x, y]: Vec2): [number, number] => [
  Math.round(x / snapMm) * snapMm,
  Math.round(y / snapMm) * snapMm,
]

/** A part that nobody has measured yet: a plain plate to begin with. */
export const blankForm = (id: string, name: string): FormDoc => ({
  ...cornersMarked(ordinaryForm({ slot: 'plate', name, size: [600, 400] })),
  id,
})

/** The same with marks at two corners that lie across from each other. */
export function cornersMarked(form: FormDoc): FormDoc {
  const { min, max } = boundsOf(form.outline.map(({ to }) => to))
  return {
    ...form,
    marks: [
      { name: 'lower left', label: 'lower left corner', at: min, weight: 1 },
      { name: 'upper right', label: 'upper right corner', at: max, weight: 1 },
    ],
  }
}

const middleOf = (outline: readonly Vec2[]): Vec2 => {
  const xs = outline.map((p) => p[0])
  const ys = outline.map((p) => p[1])
  return [(Math.min(...xs) + Math.max(...xs)) / 2, (Math.min(...ys) + Math.max(...ys)) / 2]
}

/** What can be moved in a step of measuring. */
export function handlesOf(form: FormDoc, step: MeasuringStep): Handle[] {
  switch (step) {
    case 'outline':
      return form.outline.flatMap((segment, i) => [
        ...(segment.kind === 'spline'
          ? segment.through.map(
              (at, k): Handle => ({
                key: `through-${i}-${k}`,
                at,
                label: say`curve point ${count(k + 1)} of stretch ${count(i + 1)}`,
                look: 'through',
              }),
            )
          : []),
        { key: `corner-${i}`, at: segment.to, label: say`end of stretch ${count(i + 1)}`, look: 'corner' as const },
      ])
    case 'bow':
      return form.bow.flatMap((reading, i): Handle[] => [
        { key: `bow-${i}-from`, at: reading.from, label: say`start of ${name(reading.name)}`, look: 'bow' },
        { key: `bow-${i}-to`, at: reading.to, label: say`end of ${name(reading.name)}`, look: 'bow' },
      ])
    case 'features':
      return [
        ...form.bodyLines.flatMap((line, i) =>
          line.along.map(
            (at, k): Handle => ({
              key: `body-${i}-${k}`,
              at,
              label: say`${name(line.name)}, point ${count(k + 1)}`,
              look: 'line',
            }),
          ),
        ),
        ...(form.channels ?? []).flatMap((channel, i) =>
          channel.along.map(
            (at, k): Handle => ({
              key: `channel-${i}-${k}`,
              at,
              label: say`${name(channel.name)}, point ${count(k + 1)}`,
              look: 'line',
            }),
          ),
        ),
        ...(['recesses', 'raised', 'holes'] as const).flatMap((kind) =>
          (form[kind] ?? []).map(
            (feature, i): Handle => ({
              key: `${kind}-${i}`,
              at: middleOf(feature.outline),
              label: verbatim(feature.name),
              look: 'middle',
            }),
          ),
        ),
      ]
    case 'marks':
      return form.marks.map(
        (mark, i): Handle => ({ key: `mark-${i}`, at: mark.at, label: verbatim(mark.label), look: 'mark' }),
      )
    case 'edges':
      return (form.obstacles ?? []).map(
        (obstacle, i): Handle => ({
          key: `obstacle-${i}`,
          at: obstacle.at,
          label: verbatim(obstacle.name),
          look: 'mark',
        }),
      )
  }
}

const replaced = <T>(list: readonly T[], index: number, change: (item: T) => T): T[] =>
  list.map((item, i) => (i === index ? change(item) : item))

/** The form with one of its handles somewhere else. The last corner is where the outline starts, so both move. */
export function moveHandle(form: FormDoc, key: string, to: Vec2): FormDoc {
  const at = snapped(to)
  const [kind = '', first = '', second = ''] = key.split('-')
  const i = Number(first)
  const k = Number(second)
  const moveAll = (outline: readonly Vec2[]): [number, number][] => {
    const [mx, my] = middleOf(outline)
    return outline.map(([x, y]) => [round(x + at[0] - mx), round(y + at[1] - my)])
  }
  switch (kind) {
    case 'corner':
      return endStretchAt(form, i, at)
    case 'through':
      return {
        ...form,
        outline: replaced(form.outline, i, (segment) =>
          segment.kind === 'spline' ? { ...segment, through: replaced(segment.through, k, () => at) } : segment,
        ),
      }
    case 'bow':
      return { ...form, bow: replaced(form.bow, i, (reading) => ({ ...reading, [second]: at })) }
    case 'body':
      return {
        ...form,
        bodyLines: replaced(form.bodyLines, i, (line) => ({ ...line, along: replaced(line.along, k, () => at) })),
      }
    case 'channel':
      return {
        ...form,
        channels: replaced(form.channels ?? [], i, (line) => ({ ...line, along: replaced(line.along, k, () => at) })),
      }
    case 'recesses':
      return { ...form, recesses: replaced(form.recesses, i, (f) => ({ ...f, outline: moveAll(f.outline) })) }
    case 'raised':
      return { ...form, raised: replaced(form.raised ?? [], i, (f) => ({ ...f, outline: moveAll(f.outline) })) }
    case 'holes':
      return { ...form, holes: replaced(form.holes, i, (f) => ({ ...f, outline: moveAll(f.outline) })) }
    case 'mark':
      return { ...form, marks: replaced(form.marks, i, (mark) => ({ ...mark, at })) }
    case 'obstacle':
      return { ...form, obstacles: replaced(form.obstacles ?? [], i, (o) => ({ ...o, at })) }
    default:
      return form
  }
}

/** How near to a corner a mark is its own, mm. */
const sameMm = 0.01

/** A stretch ending somewhere else; marks that stand on that corner go with it. */
export function endStretchAt(form: FormDoc, index: number, to: Vec2): FormDoc {
  const corner = form.outline[index]?.to
  if (corner === undefined) return form
  return {
    ...form,
    outline: replaced(form.outline, index, (segment) => ({ ...segment, to })),
    ...(index === form.outline.length - 1 ? { start: to } : {}),
    marks: form.marks.map((mark) => (distance(mark.at, corner) < sameMm ? { ...mark, at: to } : mark)),
  }
}

const round = (x: number) => Math.round(x * 100) / 100

export const startOfStretch = (form: FormDoc, index: number): Vec2 =>
  index === 0 ? form.start : (form.outline[index - 1]?.to ?? form.start)

/** A stretch cut in two at its middle. */
export function splitStretch(form: FormDoc, index: number): FormDoc {
  const segment = form.outline[index]
  if (segment === undefined) return form
  const middle = snapped(lerp(startOfStretch(form, index), segment.to, 0.5))
  const first: OutlineSegment = { kind: 'line', to: middle, edge: segment.edge }
  const second: OutlineSegment = segment.kind === 'spline' ? { ...segment, through: [] } : segment
  return { ...form, outline: [...form.outline.slice(0, index), first, second, ...form.outline.slice(index + 1)] }
}

/** A stretch taken away: its neighbour runs on to its end. Three stretches are the least that enclose anything. */
export function removeStretch(form: FormDoc, index: number): FormDoc {
  if (form.outline.length <= 3) return form
  const removed = form.outline[index]
  const outline = form.outline.filter((_, i) => i !== index)
  if (index < form.outline.length - 1 || removed === undefined) return { ...form, outline }
  return { ...form, outline: replaced(outline, outline.length - 1, (segment) => ({ ...segment, to: removed.to })) }
}

/** A stretch drawn straight, as an arc, or as a curve through points. */
export function bendStretch(form: FormDoc, index: number, kind: OutlineSegment['kind']): FormDoc {
  return {
    ...form,
    outline: replaced(form.outline, index, (segment): OutlineSegment => {
      if (segment.kind === kind) return segment
      const { to, edge } = segment
      const from = startOfStretch(form, index)
      if (kind === 'line') return { kind, to, edge }
      const chord = Math.hypot(to[0] - from[0], to[1] - from[1])
      if (kind === 'arc') return { kind, to, radiusMm: Math.round(chord), turn: 'left', edge }
      return { kind, through: [snapped(lerp(from, to, 0.5))], to, edge }
    }),
  }
}

/** A name that no other of the list has. */
export function freshName(wanted: string, taken: readonly { readonly name: string }[]): string {
  const names = new Set(taken.map((t) => t.name))
  if (!names.has(wanted)) return wanted
  for (let n = 2; ; n++) if (!names.has(`${wanted} ${n}`)) return `${wanted} ${n}`
}

/** A rounded box as the outline of a feature, mm. */
export function roundedBox(middle: Vec2, widthMm: number, heightMm: number, cornerMm: number): [number, number][] {
  const radius = Math.min(cornerMm, widthMm / 2, heightMm / 2)
  const points: [number, number][] = []
  for (const [sx, sy, from] of [
    [1, -1, -90],
    [1, 1, 0],
    [-1, 1, 90],
    [-1, -1, 180],
  ] as const)
    for (let k = 0; k <= 6; k++) {
      const turn = ((from + 15 * k) * Math.PI) / 180
      points.push([
        round(middle[0] + sx * (widthMm / 2 - radius) + radius * Math.cos(turn)),
        round(middle[1] + sy * (heightMm / 2 - radius) + radius * Math.sin(turn)),
      ])
    }
  return points.filter((p, i) => {
    const before = points[(i + points.length - 1) % points.length]
    return before === undefined || before[0] !== p[0] || before[1] !== p[1]
  })
}
