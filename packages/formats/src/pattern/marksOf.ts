import type { PieceMark } from '@truelay/core/align'
import {
  boundsOf,
  centroid,
  contains,
  distance,
  nearestOnOutline,
  type Polygon,
  type Vec2,
} from '@truelay/core/geometry'
import type { Drawing } from '../drawing/index.ts'
import type { JoinedLine } from './joinLines.ts'

const crossMm = 15

/** Points, marked loops and small crosses of two short lines. */
export function marksOf(
  drawing: Drawing,
  toMm: (p: Vec2) => Vec2,
  marked: readonly JoinedLine[],
  open: readonly JoinedLine[],
  outline: Polygon,
): { marks: PieceMark[]; unused: number } {
  const found: { name: string | null; at: Vec2 }[] = [
    ...drawing.points.map(({ at, name }) => ({ name, at: toMm(at) })),
    ...marked.map((loop) => ({ name: null, at: centroid(loop.points) })),
  ]
  const short = open.filter((line) => {
    const { min, max } = boundsOf(line.points)
    return line.points.length === 2 && distance(min, max) < crossMm
  })
  const used = new Set<JoinedLine>()
  for (const [i, a] of short.entries())
    for (const b of short.slice(i + 1)) {
      if (used.has(a) || used.has(b)) continue
      const [ma, mb] = [middleOf(a), middleOf(b)]
      if (distance(ma, mb) > 0.5) continue
      used.add(a)
      used.add(b)
      found.push({ name: null, at: ma })
    }
  const near = found.filter(({ at }) => contains(outline, at) || nearestOnOutline(outline, at).distanceMm < 200)
  const taken = new Set<string>()
  const marks = near.map(({ name, at }, i) => {
    let plain = (name ?? '').trim().slice(0, 60) || `mark ${i + 1}`
    while (taken.has(plain)) plain = `${plain} again`
    taken.add(plain)
    return { name: plain, at }
  })
  return { marks: marks.slice(0, 40), unused: open.length - used.size }
}

const middleOf = ({ points }: JoinedLine): Vec2 => [
  (points[0]![0] + points[1]![0]) / 2,
  (points[0]![1] + points[1]![1]) / 2,
]
