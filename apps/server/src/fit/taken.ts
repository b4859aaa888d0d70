import { type FitEvent, type FitState, tooLate } from '@truelay/contract'
import type { Sentence } from '@truelay/core/say'
import { type Followed, followed } from './followed.ts'

/** What a fit makes of events that come to it. */
export interface Taken extends Followed {
  readonly events: readonly FitEvent[]
  readonly late: readonly { readonly id: string; readonly says: Sentence }[]
}

/** What was seen or said of it hangs on no step. */
const standsAlone = ({ kind }: FitEvent): boolean =>
  kind === 'problemSeen' || kind === 'problemSettled' || kind === 'photographed'

/**
 * Takes those events that act on what the fit still stands at. Where one of a step comes too late, so does all that came with it about that
 * step: it was one press.
 */
export function taken(start: FitState, sent: readonly FitEvent[], nameOf: (personId: string) => string): Taken {
  const lateSteps = new Map<string, Sentence>()
  const events: FitEvent[] = []
  const late: Taken['late'][number][] = []
  const retired: FitEvent[] = []
  let state = start
  for (const event of sent) {
    const stepId = event.kind === 'fitStarted' || standsAlone(event) ? null : event.stepId
    const says = (stepId === null ? undefined : lateSteps.get(stepId)) ?? tooLate(state, event, nameOf)
    if (says !== null) {
      late.push({ id: event.id, says })
      if (stepId !== null) lateSteps.set(stepId, says)
      continue
    }
    const next = followed(state, [event])
    state = next.state
    retired.push(...next.retired)
    events.push(event)
  }
  return { state, events, late, retired }
}
