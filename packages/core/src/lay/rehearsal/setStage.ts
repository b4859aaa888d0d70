import { buildSurface, type FormDoc } from '../../form/index.ts'
import { done, type Result } from '../../result/index.ts'
import type { FilmHandling } from '../handling/filmHandling.ts'
import { unfolded } from '../unfolded.ts'
import { naturalLay } from '../naturalLay.ts'
import { workedLay, workedOptions } from '../workedLay.ts'
import { type PreparedStage, prepareStage } from './stage.ts'
import type { SearchStages, Trial } from './trials.ts'

/** What a rehearsal has to know about a film. */
export interface StageFilm {
  readonly handling: FilmHandling
  readonly laid: 'wet' | 'dry'
  readonly patterned?: boolean | undefined
}

/**
 * Triangles on which orders are compared, on which a search tries them out first, and on which what it finds has to be
 * better as well.
 */
export const stageTriangles = { fine: 1500, coarse: 500, judges: [1200, 1900] } as const

/**
 * A form built coarsely enough that a rehearsal answers while one waits, with the lays that it starts from.
 * Can be refused: what `buildSurface`, `naturalLay` and `workedLay` find, and `LAY_TURNED_OVER`.
 */
export function setStage(
  form: FormDoc,
  film: StageFilm,
  triangles: number = stageTriangles.fine,
): Result<PreparedStage> {
  const surface = buildSurface(form, { triangles, wallRows: true })
  if (!surface.ok) return surface
  const natural = unfolded(naturalLay(surface.value.mesh))
  if (!natural.ok) return natural
  const { handling, laid, patterned } = film
  const worked = unfolded(workedLay(surface.value.mesh, workedOptions(handling)))
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

/** The stage of a trial, for a part whose fine stage is set. Can be refused: what `setStage` finds. */
export function setTrialStage(fine: PreparedStage, on: Trial['on']): Result<PreparedStage> {
  if (on === 'fine') return done(fine)
  const { form, handling, laid, patterned } = fine
  const triangles = on === 'coarse' ? stageTriangles.coarse : stageTriangles.judges[on]
  if (triangles === undefined) throw new RangeError(`there is no judge ${on}`)
  return setStage(form, { handling, laid, patterned }, triangles)
}

/** The further stages that a search needs beside the fine one. Can be refused: what `setStage` finds. */
export function setSearchStages(fine: PreparedStage): Result<SearchStages> {
  const coarse = setTrialStage(fine, 'coarse')
  if (!coarse.ok) return coarse
  const judges: PreparedStage[] = []
  for (const on of stageTriangles.judges.keys()) {
    const judge = setTrialStage(fine, on)
    if (!judge.ok) return judge
    judges.push(judge.value)
  }
  return done({ coarse: coarse.value, fine, judges })
}
