import { buildSurface, type FormDoc, type PartSurface } from '../form/index.ts'
import { done, type Result } from '../result/index.ts'
import type { Lay } from './layTypes.ts'
import { naturalLay } from './naturalLay.ts'
import type { LayOrder, Rehearsal } from './rehearsal/orderTypes.ts'
import { rehearse } from './rehearsal/rehearse.ts'
import type { RehearsalOptions } from './rehearsal/rehearsalOptions.ts'
import { setStage, type StageFilm } from './rehearsal/setStage.ts'
import { unfolded } from './unfolded.ts'
import { type WorkedLay, workedLay, workedOptions } from './workedLay.ts'

/** All that a lay hangs on, and nothing else: two that are alike are the same lay. */
export interface LayInput {
  readonly form: FormDoc
  readonly film: StageFilm
  /** The order that was chosen for the part, rehearsed with it; null = as the usual school says. */
  readonly order: LayOrder | null
  readonly rehearsal: Partial<RehearsalOptions>
}

/** A form with film on it as it wants to lie by itself: what can be shown at once. */
export interface NaturalPart {
  readonly form: FormDoc
  readonly surface: PartSurface
  readonly natural: Lay
}

/** The first storey of a part: its form, and film on it as hands and heat can lay it. */
export interface LaidPart extends NaturalPart {
  readonly film: StageFilm
  readonly worked: WorkedLay
  readonly rehearsal: Rehearsal | null
}

export interface LayPartOptions {
  /** Of the form; left out = as `buildSurface` takes it. */
  readonly triangles?: number | undefined
  readonly onProgress?: ((share: number) => void) | undefined
}

/**
 * Lays a film on a form, and rehearses the order that was chosen. Pure: the same input gives the same bits.
 * Can be refused: what `buildSurface`, `naturalLay` and `workedLay` find, and `LAY_TURNED_OVER`.
 */
export function layPart(input: LayInput, options: LayPartOptions = {}): Result<LaidPart> {
  const natural = layNaturally(input.form, options.triangles)
  return natural.ok ? layWorked(natural.value, input, options.onProgress) : natural
}

/** The first half of `layPart`: builds the form and lets the film lie as it wants to. */
export function layNaturally(form: FormDoc, triangles?: number): Result<NaturalPart> {
  const surface = buildSurface(form, triangles === undefined ? {} : { triangles })
  if (!surface.ok) return surface
  const natural = unfolded(naturalLay(surface.value.mesh))
  return natural.ok ? done({ form, surface: surface.value, natural: natural.value }) : natural
}

/** The second half: what hands and heat make of it. */
export function layWorked(
  natural: NaturalPart,
  { film, order, rehearsal }: Pick<LayInput, 'film' | 'order' | 'rehearsal'>,
  onProgress?: (share: number) => void,
): Result<LaidPart> {
  const worked = unfolded(workedLay(natural.surface.mesh, workedOptions(film.handling), onProgress))
  if (!worked.ok) return worked
  if (order === null) return done({ ...natural, film, worked: worked.value, rehearsal: null })
  const stage = setStage(natural.form, film)
  if (!stage.ok) return stage
  return done({ ...natural, film, worked: worked.value, rehearsal: rehearse(stage.value, order, rehearsal) })
}
