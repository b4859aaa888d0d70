import type { PartSurface } from '../../form/index.ts'
import { done, type Result } from '../../result/index.ts'
import type { LayInput } from '../layPart.ts'
import { type FingerSpot, fingerProfile } from './fingerProfile.ts'
import type { Rehearsal, SchoolName } from './orderTypes.ts'
import { rehearse } from './rehearse.ts'
import { type OrderPractice, orderBySchool } from './schools.ts'
import { setStage } from './setStage.ts'

/** A part's order of laying, rehearsed on a coarser form of its own. */
export interface OrderOnPart {
  readonly surface: PartSurface
  readonly rehearsal: Rehearsal
  readonly fingers: readonly FingerSpot[]
}

/** The order in which a part is laid, chosen or usual, step by step. Can be refused: what `setStage` finds. */
export function orderOnPart(
  { form, film, order, rehearsal: options }: LayInput,
  usual: SchoolName,
  practice: OrderPractice,
): Result<OrderOnPart> {
  const stage = setStage(form, film)
  if (!stage.ok) return stage
  const { surface } = stage.value
  const rehearsal = rehearse(stage.value, order ?? orderBySchool(usual, form, surface, practice), options)
  return done({ surface, rehearsal, fingers: fingerProfile(surface, rehearsal, film.handling.take) })
}
