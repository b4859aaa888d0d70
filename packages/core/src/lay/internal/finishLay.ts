import { fitRigid, type TriangleMesh, type Vec2 } from '../../geometry/index.ts'
import type { FilmSystem } from '../../kernel/index.ts'
import type { Lay, LayMode } from '../layTypes.ts'

/** Stretches, flips and a sensible position of settled film coordinates: turned and moved to lie like the part. */
export function finishLay(
  mode: LayMode,
  mesh: TriangleMesh,
  film: FilmSystem,
  { uv, movingMm, steps }: { uv: Float64Array; movingMm: number; steps: number },
): Lay {
  const { triangles } = film
  film.put(uv)
  film.measure()
  const values = film.singularValues()
  const stretch = new Float64Array(2 * triangles)
  let flipped = 0
  for (let t = 0; t < triangles; t++) {
    const larger = values[2 * t]!
    const smaller = values[2 * t + 1]!
    if (smaller <= 0) flipped++
    stretch[2 * t] = 1 / Math.abs(smaller)
    stretch[2 * t + 1] = 1 / larger
  }
  return { mode, flat: turnedLike(mesh, uv), stretch, movingMm, steps, flipped }
}

/** Film coordinates turned and moved to lie like the part seen from above, `[u0, v0, …]`. */
function turnedLike({ position }: TriangleMesh, uv: Float64Array): Float64Array {
  const vertices = uv.length / 2
  const laid: Vec2[] = []
  const seen: Vec2[] = []
  for (let v = 0; v < vertices; v++) {
    laid.push([uv[v]!, uv[vertices + v]!])
    seen.push([position[3 * v]!, position[3 * v + 1]!])
  }
  const { turnRad, moveMm } = fitRigid(laid, seen)
  const cosine = Math.cos(turnRad)
  const sine = Math.sin(turnRad)
  const flat = new Float64Array(2 * vertices)
  for (let v = 0; v < vertices; v++) {
    const x = uv[v]!
    const y = uv[vertices + v]!
    flat[2 * v] = x * cosine - y * sine + moveMm[0]
    flat[2 * v + 1] = x * sine + y * cosine + moveMm[1]
  }
  return flat
}
