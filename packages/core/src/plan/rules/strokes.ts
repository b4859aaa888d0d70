import { add, boundsOf, distance, lerp, scale, type Vec2 } from '../../geometry/index.ts'
import type { PlanContext } from '../planContext.ts'
import type { PictureMark } from '../step.ts'

export const middleOf = (c: PlanContext): Vec2 => {
  const box = boundsOf(c.drawing.part)
  return lerp(box.min, box.max, 0.5)
}

export const reachOf = (c: PlanContext) => {
  const box = boundsOf(c.drawing.part)
  return Math.min(box.max[0] - box.min[0], box.max[1] - box.min[1])
}

/** Six strokes, as picture marks, from the first fixed place (or the middle) towards the edges. */
export function strokes(c: PlanContext): PictureMark[] {
  const from = c.schools.begin === 'flattest first' ? (c.anchors[0]?.at ?? middleOf(c)) : middleOf(c)
  const box = boundsOf(c.drawing.part)
  const half: Vec2 = [(box.max[0] - box.min[0]) / 2, (box.max[1] - box.min[1]) / 2]
  return [15, 75, 135, 195, 255, 315].map((angleDeg) => {
    const a = (angleDeg * Math.PI) / 180
    const way: Vec2 = [Math.cos(a) * half[0], Math.sin(a) * half[1]]
    return { kind: 'stroke', from: add(from, scale(way, 0.15)), to: add(from, scale(way, 0.62)) }
  })
}

/** Length of an edge as it lies in the film, mm. */
export function lineLength(c: PlanContext, edge: string): number {
  const line = c.drawing.edges.find((e) => e.name === edge)?.line ?? []
  return line.slice(1).reduce((sum, p, i) => sum + distance(line[i] ?? p, p), 0)
}
