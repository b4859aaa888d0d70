import { applyFitEvent, type FitEvent, type FitState } from '@truelay/contract'

/** Where a fit stands, and which of its events ceased to stand on the way there. */
export interface Followed {
  readonly state: FitState
  readonly retired: readonly FitEvent[]
}

/** Folds events into a state, and notes which ceased to stand on the way. */
export function followed(start: FitState, events: readonly FitEvent[]): Followed {
  let state = start
  const retired: FitEvent[] = []
  for (const event of events) {
    const next = applyFitEvent(state, event)
    if (next !== state && event.kind === 'stepReopened') {
      const stands = new Set(standingOf(next).map((e) => e.id))
      retired.push(...standingOf(state).filter((e) => !stands.has(e.id)))
    }
    state = next
  }
  return { state, retired }
}

const standingOf = (state: FitState): FitEvent[] =>
  state.phase === 'not begun' ? [] : state.logged.map((l) => l.event as unknown as FitEvent)
