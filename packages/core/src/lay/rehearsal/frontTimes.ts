import FlatQueue from 'flatqueue'
import { distance, type Vec2, vertexNormals } from '../../geometry/index.ts'
import type { PartSurface } from '../../form/index.ts'
import type { FilmMesh } from '../internal/filmMesh.ts'
import type { LayOrder } from './orderTypes.ts'

/** How many times its length a place counts that turns as much in a stroke as a quarter circle. */
const turnDelay = 12

/**
 * When the front reaches each vertex, as a length in mm: distance along the mesh from where it starts, longer over places
 * that turn if the flats go first; round and round if it winds. Distances along mesh edges are up to about 15 % too
 * long, the same way for every order.
 */
export function frontTimes(film: FilmMesh, surface: PartSurface, order: LayOrder): Float64Array {
  const sources = verticesNear(surface, order.from)
  const normals = order.flatFirst > 0 ? vertexNormals(surface.mesh) : null
  const weight = (a: number, b: number, lengthMm: number) => {
    if (normals === null) return lengthMm
    let agree = 0
    for (let k = 0; k < 3; k++) agree += normals[3 * a + k]! * normals[3 * b + k]!
    const turnRad = Math.acos(Math.min(1, Math.max(-1, agree)))
    return lengthMm + order.flatFirst * turnDelay * turnRad * order.strokeMm * (2 / Math.PI)
  }
  const away = shortestWays(film, sources, weight)
  if (!order.spiral) return away
  const [cx, cy] = order.from[0] ?? [0, 0]
  return away.map((r, v) => {
    const angle = Math.atan2(surface.plan[2 * v + 1]! - cy, surface.plan[2 * v]! - cx)
    const share = angle / (2 * Math.PI) + 0.5
    const turns = Math.max(0, Math.ceil(r / order.strokeMm - share))
    return (turns + share) * order.strokeMm
  })
}

/** Vertices nearest to spots of the drawing, each once. */
export function verticesNear(surface: PartSurface, spots: readonly Vec2[]): number[] {
  const { plan } = surface
  const found = new Set<number>()
  for (const spot of densified(spots, Math.sqrt(surface.figures.areaMm2 / (plan.length / 2)))) {
    let best = 0
    let least = Number.POSITIVE_INFINITY
    for (let v = 0; v < plan.length / 2; v++) {
      const d = (plan[2 * v]! - spot[0]) ** 2 + (plan[2 * v + 1]! - spot[1]) ** 2
      if (d < least) {
        least = d
        best = v
      }
    }
    found.add(best)
  }
  return [...found]
}

function densified(line: readonly Vec2[], stepMm: number): Vec2[] {
  if (line.length < 2) return [...line]
  const spots: Vec2[] = []
  let since = Number.POSITIVE_INFINITY
  line.forEach((p, i) => {
    const before = line[i - 1]
    since += before === undefined ? 0 : distance(before, p)
    if (before !== undefined && distance(before, p) > 2 * stepMm) {
      const pieces = Math.ceil(distance(before, p) / stepMm)
      for (let k = 1; k < pieces; k++)
        spots.push([before[0] + ((p[0] - before[0]) * k) / pieces, before[1] + ((p[1] - before[1]) * k) / pieces])
    }
    if (since < 0.7 * stepMm) return
    since = 0
    spots.push(p)
  })
  return spots
}

/** Least sum of weights from any source along the sides of the mesh (Dijkstra). */
export function shortestWays(
  film: FilmMesh,
  sources: readonly number[],
  weight: (a: number, b: number, lengthMm: number) => number,
): Float64Array {
  const { graph, position: p } = film
  const best = new Float64Array(film.vertices).fill(Number.POSITIVE_INFINITY)
  const queue = new FlatQueue<number>()
  for (const v of sources) {
    best[v] = 0
    queue.push(v, 0)
  }
  while (queue.length > 0) {
    const d = queue.peekValue() ?? 0
    const v = queue.pop() ?? 0
    if (d > best[v]!) continue
    for (let q = graph.start[v]!; q < graph.start[v + 1]!; q++) {
      const w = graph.column[q]!
      if (w === v) continue
      const length = Math.hypot(p[3 * v]! - p[3 * w]!, p[3 * v + 1]! - p[3 * w + 1]!, p[3 * v + 2]! - p[3 * w + 2]!)
      const through = d + weight(v, w, length)
      if (through >= best[w]!) continue
      best[w] = through
      queue.push(w, through)
    }
  }
  return best
}
