import type { PartSurface, ScannedForm, SuggestedReading } from '@truelay/core/form'
import type { Sentence } from '@truelay/core/say'

/** What is known of a form while it is measured. */
export interface FormAnswer {
  readonly surface: PartSurface
  /** Per triangle, -1 saddle to 1 bulge, 0 flat or bent one way only. */
  readonly curvature: { readonly share: Float64Array; readonly fullPerM2: number }
  readonly grade: number | null
  readonly gradeWords: Sentence | null
  readonly next: SuggestedReading | null
}

export type ScanAnswer = ScannedForm
