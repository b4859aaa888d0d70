import type { ExerciseLevel, Verdict } from '@truelay/core/exercises'
import type { Practice } from '@truelay/core/practice'

/** What every exercise is given, and how it ends. */
export interface ExerciseProps {
  /** Names this very exercise. */
  readonly id: string
  readonly seed: number
  readonly level: ExerciseLevel
  readonly practice: Practice
  /** Its verdict stands there: it can be looked at, and no longer changed. */
  readonly done: boolean
  readonly onDone: (verdict: Verdict) => void
}
