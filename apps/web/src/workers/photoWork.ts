import type { DrawingInSpace, FormDoc } from '@truelay/core/form'
import type { Lens, Measured, MeasuredSurety, NextPhotograph, SplitHalf, Taken } from '@truelay/core/photogrammetry'

/** What a set of photographs tells, and how sure it is. */
export interface MeasuredSet {
  readonly found: Measured
  readonly surety: MeasuredSurety
  readonly halves: SplitHalf | null
  readonly next: NextPhotograph | null
}

/** A photograph that is to lie under a form's drawing. */
export interface PhotoAsked {
  readonly form: FormDoc
  readonly inSpace: DrawingInSpace
  readonly taken: Taken
  readonly lens: Lens
}

export interface StraightPhoto {
  readonly file: Blob
  readonly widthPx: number
  readonly heightPx: number
  readonly mmPerPx: number
}
