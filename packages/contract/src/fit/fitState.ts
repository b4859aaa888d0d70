import type { PartPlan } from '@truelay/core/plan'
import type { Sentence } from '@truelay/core/say'

export interface DoneStep {
  readonly stepId: string
  readonly at: string
  readonly personId: string
  /** By how much the wait after it was cut short. */
  readonly earlySeconds?: number | undefined
  /** How long the wait after it is, in the air of the moment; left out = as planned. */
  readonly waitMinutes?: number | undefined
  /** Somebody has said whether it was ready. */
  readonly answered?: boolean | undefined
}

/** Any event of a step, as the state keeps it. */
export interface LoggedEvent {
  readonly id: string
  readonly kind: string
  readonly stepId: string
  readonly at: string
  readonly personId: string
}

/** An event that stands: until its step is gone back to, or for the whole fit. */
export interface Logged {
  readonly stands: 'with its step' | 'for good'
  readonly event: LoggedEvent
}

/** A fit under way, or ended. */
export interface Begun {
  readonly phase: 'fitting' | 'finished'
  readonly plan: PartPlan
  readonly startedAt: string
  readonly startedBy: string
  /** Steps that stand as done, in the order of the plan. */
  readonly done: readonly DoneStep[]
  /** What was logged by steps and stands: what belongs to a visit of a step is retired when the step is gone back to. */
  readonly logged: readonly Logged[]
}

/** Where a fit stands: what its events add up to. */
export type FitState = { readonly phase: 'not begun' } | Begun

export const notBegun: FitState = { phase: 'not begun' }

/** The state with an event added to what stands. */
export const logged =
  (stands: Logged['stands']) =>
  (state: Begun, event: LoggedEvent): Begun => ({ ...state, logged: [...state.logged, { stands, event }] })

/** The step done last, with something more known of it; an event about another step changes nothing. */
export function withLast(state: Begun, stepId: string, more: Partial<DoneStep>): Begun {
  const last = state.done[state.done.length - 1]
  return last?.stepId === stepId ? { ...state, done: [...state.done.slice(0, -1), { ...last, ...more }] } : state
}

/** When a step that stands as done was done. */
export const doneAt = (state: Begun, stepId: string): Date | null => {
  const step = state.done.find((d) => d.stepId === stepId)
  return step === undefined ? null : new Date(step.at)
}

/**
 * The wait that runs before the current step, if any: when its clock began and when it is over. Null where it was over before the step
 * after which it stands was done: what dries from one wetting dries meanwhile.
 */
export function runningWait(
  state: FitState,
): { readonly label: Sentence; readonly from: Date; readonly until: Date } | null {
  if (state.phase !== 'fitting') return null
  const last = state.done[state.done.length - 1]
  const step = state.plan.steps[state.done.length - 1]
  if (last === undefined || step?.wait === undefined || last.earlySeconds !== undefined) return null
  const since = step.wait.since
  const from = (since === undefined ? null : doneAt(state, since)) ?? new Date(last.at)
  const until = new Date(from.getTime() + (last.waitMinutes ?? step.wait.leastMinutes) * 60_000)
  return until <= new Date(last.at) ? null : { label: step.wait.label, from, until }
}
