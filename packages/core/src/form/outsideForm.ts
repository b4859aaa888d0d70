import { boundsOf, centroid, type Vec2 } from '../geometry/index.ts'
import type { FormDoc } from './formTypes.ts'

/** How far beside its part a mark or an obstacle may stand, mm: a notch is drawn on the lip, a neighbour beside it. */
const besideMm = 60

/** References and obstacles that lie outside their part, so that nothing could be set by them. */
export function outsideForm(
  form: Pick<FormDoc, 'start' | 'outline' | 'marks' | 'holes' | 'obstacles'>,
): { readonly what: 'marks' | 'holes' | 'obstacles'; readonly name: string }[] {
  const points = form.outline.flatMap((s) => (s.kind === 'spline' ? [...s.through, s.to] : [s.to]))
  // An arc may bulge past its ends, by its diameter at most.
  const bulgeMm = Math.max(0, ...form.outline.map((s) => (s.kind === 'arc' ? 2 * s.radiusMm : 0)))
  const { min, max } = boundsOf([form.start, ...points])
  const span = Math.max(max[0] - min[0], max[1] - min[1])
  const roomMm = besideMm + Math.min(bulgeMm, span)
  const outside = ([x, y]: Vec2) =>
    x < min[0] - roomMm || x > max[0] + roomMm || y < min[1] - roomMm || y > max[1] + roomMm
  return [
    ...form.marks.map(({ name, at }) => ({ what: 'marks' as const, name, at })),
    ...form.holes.map(({ name, outline }) => ({ what: 'holes' as const, name, at: centroid(outline) })),
    ...(form.obstacles ?? []).map(({ name, at }) => ({ what: 'obstacles' as const, name, at })),
  ].flatMap(({ what, name, at }) => (outside(at) ? [{ what, name }] : []))
}
