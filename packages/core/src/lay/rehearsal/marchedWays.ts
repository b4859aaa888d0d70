import FlatQueue from 'flatqueue'
import type { FilmMesh } from '../internal/filmMesh.ts'

/** Vertices from which ways are counted, each with how far it is itself, mm. */
export type Beginning = ReadonlyMap<number, number>

export interface MarchOptions {
  /** How many times its length a way counts over each triangle; 1 where it is not given. */
  readonly slowness?: Float64Array | undefined
  /** Which vertices may be gone over. */
  readonly open?: (vertex: number) => boolean
  /** Ways that are longer need not be known: they are told as longer, no more. */
  readonly untilMm?: number
}

/**
 * Length of the shortest way over the surface from a beginning to each vertex, mm, infinite where none leads: fast
 * marching over the triangles (Kimmel and Sethian, "Computing geodesic paths on manifolds", 1998). A way crosses
 * triangles, so that it is not longer for following their sides; in a triangle with an obtuse corner it may follow them.
 */
export function marchedWays(film: FilmMesh, beginning: Beginning, options: MarchOptions = {}): Float64Array {
  const { slowness, open = () => true, untilMm = Number.POSITIVE_INFINITY } = options
  const { corner, around, sideMm } = film
  const time = new Float64Array(film.vertices).fill(Number.POSITIVE_INFINITY)
  const done = new Uint8Array(film.vertices)
  const queue = new FlatQueue<number>()
  for (const [v, mm] of beginning) {
    time[v] = mm
    queue.push(v, mm)
  }
  const across = (t: number, c: number) => sideMm[3 * t + (c === 2 ? 0 : c + 1)]!
  while (queue.length > 0) {
    const v = queue.pop() ?? 0
    if (done[v]) continue
    if (time[v]! > untilMm) break
    done[v] = 1
    for (let q = around.start[v]!; q < around.start[v + 1]!; q++) {
      const t = around.triangle[q]!
      const slow = slowness?.[t] ?? 1
      const here = corner[3 * t] === v ? 0 : corner[3 * t + 1] === v ? 1 : 2
      for (let c = 0; c < 3; c++) {
        const w = corner[3 * t + c]!
        if (c === here || done[w] || !open(w)) continue
        const other = 3 - here - c
        const third = corner[3 * t + other]!
        // Each side lies across from the corner that it does not touch.
        const own = across(t, other)
        let best = time[v]! + slow * own
        if (done[third])
          best = Math.min(best, fromSide(time[v]!, time[third]!, own, across(t, here), across(t, c), slow))
        if (best >= time[w]!) continue
        time[w] = best
        queue.push(w, best)
      }
    }
  }
  return time
}

/**
 * When a straight front that reached two corners of a triangle at `ta` and `tb` reaches the third, which is `b` from the
 * first and `a` from the second; infinite where it comes from outside the triangle.
 */
function fromSide(ta: number, tb: number, b: number, a: number, c: number, slow: number): number {
  if (ta > tb) return fromSide(tb, ta, a, b, c, slow)
  const u = tb - ta
  const cos = (a * a + b * b - c * c) / (2 * a * b)
  const sin2 = Math.max(0, 1 - cos * cos)
  const half = b * u * (a * cos - b)
  const square = c * c
  const root = half * half - square * b * b * (u * u - slow * slow * a * a * sin2)
  if (root < 0) return Number.POSITIVE_INFINITY
  const t = (Math.sqrt(root) - half) / square
  const from = (b * (t - u)) / t
  if (!(t > u && from > a * cos && (cos <= 0 || from < a / cos))) return Number.POSITIVE_INFINITY
  return ta + t
}
