import { distance, type Vec2 } from '../geometry/index.ts'
import { done, failure, type Result, refused } from '../result/index.ts'
import type { FormDoc, OutlineSegment } from './formTypes.ts'
import { mirrorForm } from './mirrorForm.ts'
import { likenessOnTheRight } from './relief.ts'

const onLineMm = 0.5

/**
 * A symmetric part of which only the left half was measured, completed: the outline must start and end on the middle
 * line x = 0 and lie to its left; readings, lines, features, holes and marks that lie to the left get their likeness
 * on the right. Edge names of the right half get ` (right)` unless their stretch touches the middle.
 * Can be refused: `HALF_NOT_ON_MIDDLE`.
 */
export function symmetrize(form: FormDoc): Result<FormDoc> {
  const last = form.outline[form.outline.length - 2]
  const closing = form.outline[form.outline.length - 1]
  const end = last?.to ?? form.start
  const offMm = Math.max(Math.abs(form.start[0]), Math.abs(end[0]))
  if (closing?.kind !== 'line' || offMm > onLineMm) return refused(failure('HALF_NOT_ON_MIDDLE', { offMm }))
  const half = form.outline.slice(0, -1)
  const likeness = mirrorForm(form, { id: form.id, name: form.name, swap: [] })
  const back = reversed(likeness.start, likeness.outline.slice(0, -1))
  const touching = new Set([half[0]?.edge, half[half.length - 1]?.edge])
  const rightName = (name: string) => (touching.has(name) ? name : `${name} (right)`)
  const edges = form.edges.filter((edge) => half.some((s) => s.edge === edge.name))
  const isLeft = (points: readonly Vec2[]) => points.every(([x]) => x < -onLineMm)
  const both = <T>(
    own: readonly T[],
    other: readonly T[],
    points: (item: T) => readonly Vec2[],
    rename: (item: T) => T,
  ) => [
    ...own,
    ...own.flatMap((item, i) => {
      const twin = other[i]
      return twin !== undefined && isLeft(points(item)) ? [rename(twin)] : []
    }),
  ]
  const named = <T extends { readonly name: string }>(item: T): T => ({ ...item, name: `${item.name}, right` })
  const labelled = <T extends { readonly name: string; readonly label: string }>(item: T): T => ({
    ...named(item),
    label: `${item.label}, right`,
  })
  return done({
    ...form,
    outline: [...half, ...back.map((s) => ({ ...s, edge: rightName(s.edge) }))],
    edges: [
      ...edges,
      ...edges
        .filter((edge) => !touching.has(edge.name))
        .map((edge) => ({ ...edge, name: rightName(edge.name), label: `${edge.label}, right` })),
    ],
    bow: both(form.bow, likeness.bow, (r) => [r.from, r.to], named),
    ...(form.spots === undefined ? {} : { spots: both(form.spots, likeness.spots ?? [], (s) => [s.at], named) }),
    ...(form.relief === undefined ? {} : { relief: likenessOnTheRight(form.relief) }),
    bodyLines: both(form.bodyLines, likeness.bodyLines, (l) => l.along, named),
    recesses: both(form.recesses, likeness.recesses, (r) => r.outline, named),
    ...(form.raised === undefined ? {} : { raised: both(form.raised, likeness.raised ?? [], (r) => r.outline, named) }),
    ...(form.channels === undefined
      ? {}
      : { channels: both(form.channels, likeness.channels ?? [], (c) => c.along, named) }),
    ...(form.obstacles === undefined
      ? {}
      : { obstacles: both(form.obstacles, likeness.obstacles ?? [], (o) => [o.at], named) }),
    holes: both(form.holes, likeness.holes, (h) => h.outline, labelled),
    marks: both(form.marks, likeness.marks, (m) => [m.at], labelled),
  })
}

/** The same stretches run through the other way. */
function reversed(start: Vec2, segments: readonly OutlineSegment[]): OutlineSegment[] {
  const from = segments.map((_, i) => (i === 0 ? start : segments[i - 1]!.to))
  return segments
    .map((segment, i): OutlineSegment => {
      const to = from[i]!
      if (segment.kind === 'spline') return { ...segment, to, through: [...segment.through].reverse() }
      if (segment.kind === 'arc') return { ...segment, to, turn: segment.turn === 'left' ? 'right' : 'left' }
      return { ...segment, to }
    })
    .filter((segment, i) => distance(segment.to, segments[i]!.to) > 0)
    .reverse()
}
