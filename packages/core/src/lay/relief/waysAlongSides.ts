import FlatQueue from 'flatqueue'
import type { FilmMesh } from '../internal/filmMesh.ts'

/** Length of the shortest way from a vertex along the sides of the mesh, over vertices that are open, mm (Dijkstra). */
export function waysAlongSides(film: FilmMesh, from: number, open: (vertex: number) => boolean): Float64Array {
  const { graph, position: p } = film
  const best = new Float64Array(film.vertices).fill(Number.POSITIVE_INFINITY)
  const queue = new FlatQueue<number>()
  best[from] = 0
  queue.push(from, 0)
  while (queue.length > 0) {
    const d = queue.peekValue() ?? 0
    const v = queue.pop() ?? 0
    if (d > best[v]!) continue
    for (let q = graph.start[v]!; q < graph.start[v + 1]!; q++) {
      const w = graph.column[q]!
      if (w === v || !open(w)) continue
      const through =
        d + Math.hypot(p[3 * v]! - p[3 * w]!, p[3 * v + 1]! - p[3 * w + 1]!, p[3 * v + 2]! - p[3 * w + 2]!)
      if (through >= best[w]!) continue
      best[w] = through
      queue.push(w, through)
    }
  }
  return best
}
