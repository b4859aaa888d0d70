import { distance, type Vec2 } from '@truelay/core/geometry'
import type { DrawnLine } from '../drawing/index.ts'

export interface JoinedLine {
  readonly points: readonly Vec2[]
  readonly closed: boolean
  readonly layers: readonly string[]
  /** Widest gap that was closed to make it, mm; 0 = none. */
  readonly gapMm: number
}

/**
 * Open lines whose ends meet within `gapMm` are joined end to end, and a line whose own ends meet is closed. Lines of
 * different layers are not joined.
 */
export function joinLines(lines: readonly DrawnLine[], gapMm: number): JoinedLine[] {
  const closed: JoinedLine[] = []
  const byLayer = new Map<string, DrawnLine[]>()
  for (const line of lines) {
    if (line.closed) closed.push({ points: withoutDoubles(line.points), closed: true, layers: line.layers, gapMm: 0 })
    else {
      const key = line.layers.join('/')
      byLayer.set(key, [...(byLayer.get(key) ?? []), line])
    }
  }
  return [...closed, ...[...byLayer.values()].flatMap((open) => chains(open, gapMm))]
}

function chains(lines: readonly DrawnLine[], gapMm: number): JoinedLine[] {
  const left = new Set(lines.map((_, i) => i))
  const ends = new Map<string, number[]>()
  const cell = Math.max(gapMm, 1e-6)
  const key = ([x, y]: Vec2, dx = 0, dy = 0) => `${Math.floor(x / cell) + dx},${Math.floor(y / cell) + dy}`
  const first = (i: number) => lines[i]!.points[0]!
  const last = (i: number) => lines[i]!.points[lines[i]!.points.length - 1]!
  lines.forEach((_, i) => {
    for (const end of [first(i), last(i)]) ends.set(key(end), [...(ends.get(key(end)) ?? []), i])
  })
  const nextFrom = (at: Vec2): { index: number; flipped: boolean; gap: number } | null => {
    let best: { index: number; flipped: boolean; gap: number } | null = null
    for (let dx = -1; dx <= 1; dx++)
      for (let dy = -1; dy <= 1; dy++)
        for (const i of ends.get(key(at, dx, dy)) ?? []) {
          if (!left.has(i)) continue
          for (const flipped of [false, true]) {
            const gap = distance(at, flipped ? last(i) : first(i))
            if (gap <= gapMm && (best === null || gap < best.gap)) best = { index: i, flipped, gap }
          }
        }
    return best
  }
  const joined: JoinedLine[] = []
  for (const start of lines.keys()) {
    if (!left.delete(start)) continue
    const points: Vec2[] = [...lines[start]!.points]
    let widest = 0
    for (const atEnd of [true, false]) {
      for (;;) {
        const here = atEnd ? points[points.length - 1]! : points[0]!
        if (points.length > 2 && distance(points[0]!, points[points.length - 1]!) <= gapMm) break
        const next = nextFrom(here)
        if (next === null) break
        left.delete(next.index)
        widest = Math.max(widest, next.gap)
        const more = [...lines[next.index]!.points]
        if (next.flipped) more.reverse()
        if (atEnd) points.push(...(next.gap < 1e-9 ? more.slice(1) : more))
        else points.unshift(...more.reverse().slice(0, next.gap < 1e-9 ? -1 : undefined))
      }
    }
    const closing = distance(points[0]!, points[points.length - 1]!)
    const closes = points.length > 2 && closing <= gapMm
    joined.push({
      points: closes ? withoutDoubles(points) : points,
      closed: closes,
      layers: lines[start]!.layers,
      gapMm: closes ? Math.max(widest, closing) : widest,
    })
  }
  return joined
}

const doubledMm = 1e-3

/** A closed line without points on top of each other, the end on top of the start included. */
function withoutDoubles(points: readonly Vec2[]): readonly Vec2[] {
  const kept = points.filter((p, i) => i === 0 || distance(p, points[i - 1]!) > doubledMm)
  while (kept.length > 3 && distance(kept[0]!, kept[kept.length - 1]!) <= doubledMm) kept.pop()
  return kept
}
