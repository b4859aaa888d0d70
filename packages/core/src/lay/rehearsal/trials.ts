import type { LayOrder, Rehearsal, SchoolName } from './orderTypes.ts'
import { rehearse } from './rehearse.ts'
import type { RehearsalOptions } from './rehearsalOptions.ts'
import { type OrderPractice, orderBySchool } from './schools.ts'
import type { PreparedStage } from './stage.ts'

/** One part on several meshes. */
export interface SearchStages {
  /** On which orders are tried out. */
  readonly coarse: PreparedStage
  /** On which schools are compared and what is found is shown. */
  readonly fine: PreparedStage
  /** Others, on which what is found has to be better as well. */
  readonly judges: readonly PreparedStage[]
}

/** One rehearsal that a search wants made. */
export interface Trial {
  /** The mesh: `coarse`, `fine`, or which of the judges. */
  readonly on: 'coarse' | 'fine' | number
  /** An order, or a school, whose rule makes one on that mesh. */
  readonly order: LayOrder | SchoolName
}

/** How the trials of one search are made, the same for all of them. */
export interface TrialPractice {
  readonly practice: OrderPractice
  readonly rehearsal: Partial<RehearsalOptions>
}

/** Where nothing is shown the film is laid once: other trials and other meshes tell chance apart. */
const laidOnce: Partial<RehearsalOptions> = { strokesBegin: [0] }

/** Makes one trial on the mesh that it asks for. */
export function rehearseTrial(
  stage: PreparedStage,
  { on, order }: Trial,
  { practice, rehearsal }: TrialPractice,
): Rehearsal {
  const laid = typeof order === 'string' ? orderBySchool(order, stage.form, stage.surface, practice) : order
  return rehearse(stage, laid, on === 'fine' ? rehearsal : { ...rehearsal, ...laidOnce })
}
