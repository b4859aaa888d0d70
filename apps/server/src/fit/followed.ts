import { applyFitEvent, type FitEvent, type FitState } from '@truelay/contract'

/** Where a fit stands, and which of its events ceased to stand on the way there. */
export interface Followed {
  readonly state: FitState
  readonly retired: readonly string[]
}

/** Folds events into a state, and notes by id which ceased to stand on the way. */
export function followed(start: FitState, events: readonly FitEvent[]): Followed {
  let state = start
  const retired: string[] = []
  for (const event of events) {
    const next = applyFitEvent(state, event)
    const stands = new Set(standingIds(next))
    retired.push(...standingIds(state).filter((id) => !stands.has(id)))
    state = next
  }
  return { state, retired }
}

const standingIds = (state: FitState) => (state.phase === 'not begun' ? [] : state.logged.map((l) => l.event.id))
