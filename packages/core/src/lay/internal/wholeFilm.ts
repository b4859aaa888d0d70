import { type FilmSystem, filmSystem } from '../../kernel/index.ts'
import { type TriangleMesh, vertexCount } from '../../geometry/index.ts'

/** A whole piece of film, free to slide: only vertex 0 is held, so that it has a place. Lives within `inKernel`. */
export function wholeFilm({ triangle, position }: TriangleMesh): FilmSystem {
  const free = Int32Array.from({ length: vertexCount({ triangle, position }) - 1 }, (_, i) => i + 1)
  return filmSystem({ corner: triangle, position, free, steadyShare: 0 })
}

/** What a triangle may do that no box holds, and how much it is drawn to lie as it would by itself. */
export const freely = { box: { least: 0.2, most: 5 }, softness: 0.2 }
