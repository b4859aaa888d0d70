import { boundsOf, contains, distance, type Polygon, type Vec2 } from '../geometry/index.ts'

/** A piece as it lies on the roll. */
export interface LyingPiece {
  readonly outline: Polygon
  readonly cutOuts: readonly Polygon[]
}

/** One line that the knife cuts without being lifted: closed, its first point is not repeated. */
export interface CutLoop {
  /** Of which piece, by its place in the list. */
  readonly piece: number
  readonly kind: 'cut-out' | 'outline'
  readonly line: Polygon
}

interface Waiting extends CutLoop {
  readonly fromMm: number
  /** Loops that have to be cut before. */
  readonly after: ReadonlySet<number>
}

/**
 * The lines of all pieces in the order in which they are cut: what lies within before what lies round it, so that nothing is cut in film that has
 * come loose; near the roll's beginning before far, within a stretch of `stretchMm` by the shortest way. Each begins where the knife comes from.
 */
export function cutOrder(pieces: readonly LyingPiece[], stretchMm: number): CutLoop[] {
  const loops = pieces.flatMap(({ outline, cutOuts }, piece): CutLoop[] => [
    ...cutOuts.map((line) => ({ piece, kind: 'cut-out' as const, line })),
    { piece, kind: 'outline', line: outline },
  ])
  const left = new Map<number, Waiting>(
    loops.map((loop, i) => [i, { ...loop, fromMm: boundsOf(loop.line).min[0], after: within(loops, i) }]),
  )
  const done: CutLoop[] = []
  let at: Vec2 = [0, 0]
  while (left.size > 0) {
    const free = [...left].filter(([, { after }]) => ![...after].some((i) => left.has(i)))
    const nearMm = Math.min(...free.map(([, { fromMm }]) => fromMm)) + stretchMm
    let best: { readonly key: number; readonly loop: CutLoop; readonly wayMm: number } | null = null
    for (const [key, { fromMm, piece, kind, line }] of free) {
      if (fromMm > nearMm) continue
      const first = nearestCorner(line, at)
      const wayMm = distance(line[first] ?? at, at)
      if (best === null || wayMm < best.wayMm)
        best = { key, wayMm, loop: { piece, kind, line: [...line.slice(first), ...line.slice(0, first)] } }
    }
    if (best === null) break
    done.push(best.loop)
    left.delete(best.key)
    at = best.loop.line[0] ?? at
  }
  return done
}

/** Loops that lie within another: cut-outs of its piece, and pieces in its cut-outs. */
function within(loops: readonly CutLoop[], i: number): Set<number> {
  const outer = loops[i]
  const inner = new Set<number>()
  if (outer === undefined) return inner
  const box = boundsOf(outer.line)
  loops.forEach(({ line }, k) => {
    const [p] = line
    if (k === i || p === undefined) return
    const inBox = p[0] > box.min[0] && p[0] < box.max[0] && p[1] > box.min[1] && p[1] < box.max[1]
    if (inBox && contains(outer.line, p)) inner.add(k)
  })
  return inner
}

function nearestCorner(line: Polygon, at: Vec2): number {
  let best = 0
  line.forEach((p, i) => {
    if (distance(p, at) < distance(line[best] ?? at, at)) best = i
  })
  return best
}
