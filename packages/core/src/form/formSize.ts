import { boundsOf } from '../geometry/index.ts'
import type { FormDoc } from './formTypes.ts'

/** Width and height of a part's drawing by the points of its outline, mm; arcs may bulge a little beyond. */
export function formSize({ start, outline }: Pick<FormDoc, 'start' | 'outline'>): {
  readonly widthMm: number
  readonly heightMm: number
} {
  const points = [start, ...outline.flatMap((s) => (s.kind === 'spline' ? [...s.through, s.to] : [s.to]))]
  const { min, max } = boundsOf(points)
  return { widthMm: max[0] - min[0], heightMm: max[1] - min[1] }
}
