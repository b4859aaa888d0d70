import type { TriangleMesh } from '../../geometry/index.ts'
import type { FilmSystem } from '../../kernel/index.ts'
import { percentileByArea } from '../shares.ts'

/** This share of the area may be let off, so that one bad spot does not decide for a whole piece. */
const spotShare = 0.005
/** A spot is bad where film fits it so many times worse than all but that share, and by so much of its length. */
const timesWorse = 2
const clearly = 0.03

/**
 * Triangles of small spots on which film fits far worse than anywhere else, as it lies by itself: an ear, a spike, the
 * corner of a badge. Empty where what is hard is spread over the part.
 */
export function badTrianglesOf(film: FilmSystem, natural: Float64Array): number[] {
  film.put(natural)
  film.measure()
  const values = film.singularValues()
  const misfit = new Float64Array(film.triangles)
  for (let t = 0; t < misfit.length; t++) misfit[t] = Math.max(values[2 * t]! - 1, 1 - values[2 * t + 1]!)
  const all = Array.from(misfit, (_, t) => t)
  const usual = percentileByArea(film.area, all, (t) => misfit[t]!, 1 - spotShare).value
  const worst = misfit.reduce((most, m) => Math.max(most, m), 0)
  if (worst < timesWorse * usual || worst - usual < clearly) return []
  return all.filter((t) => misfit[t]! > usual)
}

/** Triangles that hang together by their corners, each heap by itself. */
export function heapsOf({ triangle }: Pick<TriangleMesh, 'triangle'>, triangles: readonly number[]): number[][] {
  const heapOf = new Map<number, number[]>()
  for (const t of triangles) {
    const corners = [0, 1, 2].map((c) => triangle[3 * t + c]!)
    const met = new Set(corners.flatMap((v) => heapOf.get(v) ?? []).map((other) => heapOf.get(triangle[3 * other]!)!))
    const heap = [...met].flat().concat(t)
    for (const other of heap) for (let c = 0; c < 3; c++) heapOf.set(triangle[3 * other + c]!, heap)
  }
  return [...new Set(heapOf.values())]
}
