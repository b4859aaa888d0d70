import { buildSurface, type FormDoc } from '../../form/index.ts'
import { done, type Result } from '../../result/index.ts'
import type { FilmHandling } from '../handling/filmHandling.ts'
import { naturalLay } from '../naturalLay.ts'
import { workedLay, workedOptions } from '../workedLay.ts'
import { type PreparedStage, prepareStage } from './stage.ts'

/** What a rehearsal has to know about a film. */
export interface StageFilm {
  readonly handling: FilmHandling
  readonly laid: 'wet' | 'dry'
  readonly patterned?: boolean | undefined
}

/** Triangles on which orders are compared, and on which a search tries them out first. */
export const stageTriangles = { fine: 1500, coarse: 500 } as const

/**
 * A form built coarsely enough that a rehearsal answers while one waits, with the lays that it starts from.
 * Can be refused: what `buildSurface`, `naturalLay` and `workedLay` find.
 */
export function setStage(
  form: FormDoc,
  film: StageFilm,
  triangles: number = stageTriangles.fine,
): Result<PreparedStage> {
  const surface = buildSurface(form, { triangles })
  if (!surface.ok) return surface
  const natural = naturalLay(surface.value.mesh)
  if (!natural.ok) return natural
  const { handling, laid, patterned } = film
  const worked = workedLay(surface.value.mesh, workedOptions(handling))
  if (!worked.ok) return worked
  return done(
    prepareStage({
      form,
      surface: surface.value,
      natural: natural.value,
      worked: worked.value,
      handling,
      laid,
      patterned,
    }),
  )
}
