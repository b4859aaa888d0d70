import type { PartSurface, ScannedForm, SuggestedReading } from '@truelay/core/form'

/** What is known of a form while it is measured. */
export interface FormAnswer {
  readonly surface: PartSurface
  /** Per triangle, -1 saddle to 1 bulge, 0 flat or bent one way only. */
  readonly curvature: { readonly share: Float64Array; readonly fullPerM2: number }
  readonly grade: number | null
  readonly gradeWords: string | null
  readonly next: SuggestedReading | null
}

export type ScanAnswer = ScannedForm
