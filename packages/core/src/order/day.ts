/** A step of work, or several neighbouring ones of the same hands and tools. Whole minutes; times count from 0, the start of the plan. */
export interface DayTask {
  readonly id: string
  readonly minutes: number
  /** How many at once. */
  readonly people: number
  /** What each of them must be able to do. */
  readonly skill?: string | undefined
  readonly tools: readonly string[]
  /** What belongs together stays in the hands that began it, unless others save `handOverMinutes`. */
  readonly sameHands?: string | undefined
  /** Who began it before the plan. */
  readonly begunBy?: readonly string[] | undefined
  readonly after: readonly TaskAfter[]
  /** Earliest start. */
  readonly notBefore?: number | undefined
  /** Latest end. */
  readonly notAfter?: number | undefined
}

/** A wait, from the end of the other task to the start of this one. Least waits are rounded up, greatest down. */
export interface TaskAfter {
  readonly task: string
  readonly minMinutes: number
  readonly maxMinutes?: number | undefined
}

/** One of a tool is kept from the start of one task to the end of another: a vehicle in its place. */
export interface DayHold {
  readonly tool: string
  readonly from: string
  readonly to: string
}

/** Minutes in which nobody, or these people, do anything. */
export interface DayBreak {
  readonly people?: readonly string[] | undefined
  readonly from: number
  readonly to: number
}

export interface Day {
  readonly people: readonly { readonly id: string; readonly skills?: readonly string[] | undefined }[]
  readonly tools: readonly { readonly id: string; readonly count: number }[]
  readonly tasks: readonly DayTask[]
  readonly holds?: readonly DayHold[] | undefined
  readonly breaks?: readonly DayBreak[] | undefined
  /** Others take over where the hands that began would be later by more; 0 if left out. */
  readonly handOverMinutes?: number | undefined
  /** What it counts for to go over to something else, minutes: of plans that are as short the one with fewer changes is better. 0 if left out. */
  readonly changeOverMinutes?: number | undefined
}

/** Later than anything: no such minute. */
export const never = 1 << 28
