import { fitRigid, rotate, type TriangleMesh, type Vec2 } from '../../geometry/index.ts'
import { singularValues2x2 } from '../../numerics/index.ts'
import type { Lay, LayMode } from '../layTypes.ts'
import type { LayOperator } from './layOperator.ts'

/** Stretches, flips and a sensible position of settled film coordinates: turned and moved to lie like the part. */
export function finishLay(
  mode: LayMode,
  mesh: TriangleMesh,
  operator: LayOperator,
  { uv, movingMm, steps }: { uv: Float64Array; movingMm: number; steps: number },
): Lay {
  const { vertices, triangles } = operator
  const matrices = new Float64Array(4 * triangles)
  operator.matricesOf(uv, matrices)
  const stretch = new Float64Array(2 * triangles)
  let flipped = 0
  for (let t = 0; t < triangles; t++) {
    const i = 4 * t
    const [larger, smaller] = singularValues2x2(matrices[i]!, matrices[i + 1]!, matrices[i + 2]!, matrices[i + 3]!)
    if (smaller <= 0) flipped++
    stretch[2 * t] = 1 / Math.abs(smaller)
    stretch[2 * t + 1] = 1 / larger
  }
  const film: Vec2[] = []
  const seen: Vec2[] = []
  for (let v = 0; v < vertices; v++) {
    film.push([uv[v]!, uv[vertices + v]!])
    seen.push([mesh.position[3 * v]!, mesh.position[3 * v + 1]!])
  }
  const { turnRad, moveMm } = fitRigid(film, seen)
  const flat = new Float64Array(2 * vertices)
  film.forEach((p, v) => {
    const [x, y] = rotate(p, turnRad)
    flat[2 * v] = x + moveMm[0]
    flat[2 * v + 1] = y + moveMm[1]
  })
  return { mode, flat, stretch, movingMm, steps, flipped }
}
