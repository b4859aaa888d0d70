import { type FormDoc, middleOfTriangle, type PartSurface } from '../../form/index.ts'
import { outlineGauge } from '../../geometry/index.ts'
import type { FilmHandling } from '../handling/filmHandling.ts'
import { type FilmMesh, filmMesh } from '../internal/filmMesh.ts'
import type { Lay } from '../layTypes.ts'
import { type HollowPlace, hollowPlaces } from './hollowPlaces.ts'

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
  readonly hollows: readonly HollowPlace[]
}

export function prepareStage(stage: Stage): PreparedStage {
  const film = filmMesh(stage.surface.mesh)
  const { form, surface } = stage
  return { ...stage, film, nearestEdge: nearestEdges(surface, film), hollows: hollowPlaces(form, surface) }
}

/** Nearest edge of each triangle's middle, worked out once for a stage. */
function nearestEdges(
  surface: PreparedStage['surface'],
  film: PreparedStage['film'],
): readonly { edge: string; distanceMm: number }[] {
  const { polygon, edgeOfSide } = surface.outline
  const gauge = outlineGauge(polygon)
  let side = 0
  return Array.from({ length: film.triangles }, (_, t) => {
    const nearest = gauge.nearest(middleOfTriangle(surface, t), side)
    const { distanceMm } = nearest
    side = nearest.side
    return { edge: edgeOfSide[side] ?? '', distanceMm }
  })
}
