import type { PartPlan } from '@truelay/core/plan'
import type { FitEvent, FitEventOf } from './fitEvents.ts'

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
      readonly bottles: readonly FitEventOf<'bottleTaken'>[]
      readonly blades: readonly FitEventOf<'bladeUsed'>[]
      /** The air in which waits were set. */
      readonly air: readonly FitEventOf<'waitSet'>[]
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
      bottles: [],
      blades: [],
      air: [],
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
      return withLast(state, event.stepId, { earlySeconds: event.earlySeconds })
    }
    case 'stepReopened': {
      const index = state.done.findIndex((d) => d.stepId === event.stepId)
      return index < 0 ? state : { ...state, phase: 'fitting', done: state.done.slice(0, index) }
    }
    case 'waitSet':
      return { ...withLast(state, event.stepId, { waitMinutes: event.minutes }), air: [...state.air, event] }
    case 'waitAnswered':
      return withLast(state, event.stepId, { answered: event.ready })
    case 'bottleTaken':
      return { ...state, bottles: [...state.bottles, event] }
    case 'bladeUsed':
      return { ...state, blades: [...state.blades, event] }
    case 'batchMixed':
      return { ...state, batches: [...state.batches, event] }
    case 'gapsMeasured':
      return { ...state, gapRounds: [...state.gapRounds, event] }
    case 'problemSeen':
      return { ...state, problems: [...state.problems, event] }
  }
}

type Begun = Exclude<FitState, { phase: 'not begun' }>

/** The step done last, with something more known of it; an event about another step changes nothing. */
function withLast(state: Begun, stepId: string, more: Partial<DoneStep>): Begun {
  const last = state.done[state.done.length - 1]
  return last?.stepId === stepId ? { ...state, done: [...state.done.slice(0, -1), { ...last, ...more }] } : state
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
  return {
    label: step.wait.label,
    from,
    until: new Date(from.getTime() + (last.waitMinutes ?? step.wait.leastMinutes) * 60_000),
  }
}
