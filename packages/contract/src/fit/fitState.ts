import type { PartPlan } from '@truelay/core/plan'
import type { FitEvent, FitEventOf } from './fitEvents.ts'

export interface DoneStep {
  readonly stepId: string
  readonly at: string
  readonly personId: string
  /** By how much the wait after it was cut short. */
  readonly earlySeconds?: number | undefined
}

/** Where a fit stands: what its events add up to. */
export type FitState =
  | { readonly phase: 'not begun' }
  | {
      readonly phase: 'fitting' | 'finished'
      readonly plan: PartPlan
      readonly startedAt: string
      readonly startedBy: string
      /** Steps that stand as done, in the order of the plan. */
      readonly done: readonly DoneStep[]
      readonly batches: readonly FitEventOf<'batchMixed'>[]
      readonly gapRounds: readonly FitEventOf<'gapsMeasured'>[]
      readonly problems: readonly FitEventOf<'problemSeen'>[]
    }

export const notBegun: FitState = { phase: 'not begun' }

/** The state after one more event. Events that make no sense where the fit stands change nothing. */
export function applyFitEvent(state: FitState, event: FitEvent): FitState {
  if (event.kind === 'fitStarted') {
    if (state.phase !== 'not begun') return state
    return {
      phase: 'fitting',
      plan: event.plan,
      startedAt: event.at,
      startedBy: event.personId,
      done: [],
      batches: [],
      gapRounds: [],
      problems: [],
    }
  }
  if (state.phase === 'not begun') return state
  switch (event.kind) {
    case 'stepDone': {
      const next = state.plan.steps[state.done.length]
      if (next?.id !== event.stepId) return state
      const step: DoneStep = { stepId: event.stepId, at: event.at, personId: event.personId }
      const done = [...state.done, step]
      return { ...state, done, phase: done.length === state.plan.steps.length ? 'finished' : 'fitting' }
    }
    case 'waitEnded': {
      const last = state.done[state.done.length - 1]
      if (last?.stepId !== event.stepId) return state
      return { ...state, done: [...state.done.slice(0, -1), { ...last, earlySeconds: event.earlySeconds }] }
    }
    case 'stepReopened': {
      const index = state.done.findIndex((d) => d.stepId === event.stepId)
      return index < 0 ? state : { ...state, phase: 'fitting', done: state.done.slice(0, index) }
    }
    case 'batchMixed':
      return { ...state, batches: [...state.batches, event] }
    case 'gapsMeasured':
      return { ...state, gapRounds: [...state.gapRounds, event] }
    case 'problemSeen':
      return { ...state, problems: [...state.problems, event] }
  }
}

export const replayFit = (events: readonly FitEvent[]): FitState => events.reduce(applyFitEvent, notBegun)

/** The wait that runs before the current step, if any: when it began and when it is over. */
export function runningWait(
  state: FitState,
): { readonly label: string; readonly from: Date; readonly until: Date } | null {
  if (state.phase !== 'fitting') return null
  const last = state.done[state.done.length - 1]
  const step = state.plan.steps[state.done.length - 1]
  if (last === undefined || step?.wait === undefined || last.earlySeconds !== undefined) return null
  const from = new Date(last.at)
  return { label: step.wait.label, from, until: new Date(from.getTime() + step.wait.leastMinutes * 60_000) }
}
