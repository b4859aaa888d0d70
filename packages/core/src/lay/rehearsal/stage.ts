import { type FormDoc, middleOfTriangle, type PartSurface } from '../../form/index.ts'
import { nearestOnOutline } from '../../geometry/index.ts'
import type { FilmHandling } from '../handling/filmHandling.ts'
import { type FilmMesh, filmMesh } from '../internal/filmMesh.ts'
import type { Lay } from '../layTypes.ts'

/** What a rehearsal is made on: the form, the film, and how the film wants to lie by itself and when worked. */
export interface Stage {
  readonly form: FormDoc
  readonly surface: PartSurface
  readonly natural: Pick<Lay, 'flat'>
  readonly worked: Pick<Lay, 'flat'>
  readonly handling: FilmHandling
  /** Laid wet: film ahead of the front floats and settles; dry: it sticks where it touches. */
  readonly laid: 'wet' | 'dry'
  /** Film with a printed pattern, which warps when it is stretched. */
  readonly patterned?: boolean | undefined
}

/** A stage with what all rehearsals on it share. */
export interface PreparedStage extends Stage {
  readonly film: FilmMesh
  readonly nearestEdge: readonly { readonly edge: string; readonly distanceMm: number }[]
}

export function prepareStage(stage: Stage): PreparedStage {
  const film = filmMesh(stage.surface.mesh)
  return { ...stage, film, nearestEdge: nearestEdges(stage.surface, film) }
}

/** Nearest edge of each triangle's middle, worked out once for a stage. */
function nearestEdges(
  surface: PreparedStage['surface'],
  film: PreparedStage['film'],
): readonly { edge: string; distanceMm: number }[] {
  const { polygon, edgeOfSide } = surface.outline
  return Array.from({ length: film.triangles }, (_, t) => {
    const { side, distanceMm } = nearestOnOutline(polygon, middleOfTriangle(surface, t))
    return { edge: edgeOfSide[side] ?? '', distanceMm }
  })
}
