import type { Sentence } from '../say/index.ts'

/** A task as it stands in a plan. */
export interface PlannedTask {
  readonly id: string
  readonly startMinute: number
  readonly endMinute: number
  readonly people: readonly string[]
  /** Why it does not start earlier. */
  readonly because: Sentence
}

/** The same as it stood in the plan before. */
export interface PlannedBefore {
  /** Counted from the start of this plan; below 0 for what should have begun. */
  readonly startMinute: number
  readonly people: readonly string[]
}
