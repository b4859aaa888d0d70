import type { DryCheck } from '@truelay/core/align'
import type { CutSize, RollOrPattern } from '@truelay/core/stock'

/** What the worker says of a piece held up to its part. */
export interface DryAnswer {
  readonly check: DryCheck | null
  readonly advice: RollOrPattern
  /** Sheet to cut from the roll. */
  readonly sheet: CutSize
  /** Face and tuck of a narrow part, mm; null for others. */
  readonly barWidthMm: number | null
  readonly neededStretch: number
}
