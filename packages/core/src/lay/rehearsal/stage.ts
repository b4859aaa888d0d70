import type { FormDoc, PartSurface } from '../../form/index.ts'
import { nearestOnOutline, type Vec2 } from '../../geometry/index.ts'
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
    const { side, distanceMm } = nearestOnOutline(polygon, middleOfTriangle(surface, film, t))
    return { edge: edgeOfSide[side] ?? '', distanceMm }
  })
}

/** Middle of a triangle on the drawing, mm. */
export function middleOfTriangle(surface: Pick<PartSurface, 'plan'>, film: Pick<FilmMesh, 'corner'>, t: number): Vec2 {
  let x = 0
  let y = 0
  for (let c = 0; c < 3; c++) {
    const v = film.corner[3 * t + c]!
    x += surface.plan[2 * v]! / 3
    y += surface.plan[2 * v + 1]! / 3
  }
  return [x, y]
}
