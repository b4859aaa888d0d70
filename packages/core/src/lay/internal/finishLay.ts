import type { FilmSystem } from '../../kernel/index.ts'
import type { Lay, LayMode } from '../layTypes.ts'

/** Stretches, flips and a sensible position of settled film coordinates: turned and moved to lie like the part. */
export function finishLay(
  mode: LayMode,
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
  return { mode, flat: film.takeLikeSeen(), stretch, movingMm, steps, flipped }
}
