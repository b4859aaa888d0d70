import type { FormDoc, PartSurface } from '@truelay/core/form'
import type { Practice } from '@truelay/core/practice'
import type { FingerSpot, LayOrder, Rehearsal, StageFilm } from '@truelay/core/lay'
import type { Sentence } from '@truelay/core/say'

/** What a rehearsal is made of. */
export interface RehearsalQuestion {
  readonly form: FormDoc
  readonly film: StageFilm
  readonly practice: Practice
}

/** The form as rehearsals are drawn on it. */
export interface RehearsalStage {
  readonly surface: PartSurface
}

/** A rehearsal as a screen plays it. */
export interface ShownRehearsal {
  readonly order: LayOrder
  /** Its order in one sentence. */
  readonly words: Sentence
  readonly rehearsal: Rehearsal
  readonly fingers: readonly FingerSpot[]
}

/** How far a search goes, and what chance it follows: another seed tries other changes. */
export interface SearchWish {
  readonly tries: number
  readonly seed: number
}

/** How a search stands. */
export interface SearchNews {
  readonly share: number
  readonly tried: number
  /** Null until all schools have been tried. */
  readonly best: Sentence | null
}

export interface FoundOrder {
  readonly best: ShownRehearsal
  /** The best school, against which it is explained. */
  readonly school: ShownRehearsal
  readonly because: Sentence
  readonly tried: number
  /** Whether it changes much in which order this part is laid. */
  readonly matters: boolean
}
