import type { PartPlan } from '@truelay/core/plan'
import { type FitEvent, fitEvent, replayFit } from '../fit/fitEvents.ts'
import type { Begun } from '../fit/fitState.ts'

/** An event of a step without what every event carries; the moment only where it matters. */
export interface SmallEvent {
  readonly kind: string
  readonly stepId: string
  /** Minutes since the fit began. */
  readonly after?: number
  readonly [field: string]: unknown
}

export const began = new Date('2030-05-01T09:00:00.000Z')
/** So many minutes after the fit began. */
export const minutesIn = (minutes: number): Date => new Date(began.getTime() + 60_000 * minutes)

/** The events of a fit of a plan, as they would be stored: each passes its schema, the first is its beginning. */
export function smallEvents(plan: PartPlan, ...events: readonly SmallEvent[]): FitEvent[] {
  const whole = (fields: object, i: number, after: number) =>
    fitEvent.parse({
      id: `00000000-0000-4000-8000-${String(i).padStart(12, '0')}`,
      partId: plan.partId,
      personId: 'ines',
      at: minutesIn(after).toISOString(),
      ...fields,
    })
  return [
    whole({ kind: 'fitStarted', plan }, 0, 0),
    ...events.map(({ after = 0, ...fields }, i) => whole(fields, i + 1, after)),
  ]
}

/** Where a fit of a plan stands after some events. */
export function smallFit(plan: PartPlan, ...events: readonly SmallEvent[]): Begun {
  const state = replayFit(smallEvents(plan, ...events))
  if (state.phase === 'not begun') throw new Error('the fit has not begun')
  return state
}
