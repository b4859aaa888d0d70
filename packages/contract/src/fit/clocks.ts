import { spoils } from '@truelay/core/judge'
import type { PlanStep, StepLimit } from '@truelay/core/plan'
import type { Sentence } from '@truelay/core/say'
import { type FitEventOf, standing } from './fitEvents.ts'
import { type Begun, doneAt, runningWait } from './fitState.ts'

/** Since when film that floats dries: the last time that it was wetted all over. `now` in a step that wets it. */
export function wettedAt(state: Begun, step: PlanStep, now: Date): Date {
  if (step.wets === true) return new Date(state.done[state.done.length - 1]?.at ?? state.startedAt)
  const wet = state.plan.steps.filter((s) => s.wets === true).map((s) => doneAt(state, s.id))
  const again = standing(state, 'filmWetted').map((event) => new Date(event.at))
  const times = [...wet, ...again].filter((at) => at !== null).map((at) => at.getTime())
  return times.length === 0 ? now : new Date(Math.max(...times))
}

/** The greatest wait before a step that is over first, and when. */
export function tightestLimit(state: Begun, step: PlanStep): { readonly limit: StepLimit; readonly over: Date } | null {
  const limits = (step.within ?? []).flatMap((limit) => {
    const from = doneAt(state, limit.since)
    return from === null ? [] : [{ limit, over: new Date(from.getTime() + limit.mostMinutes * 60_000) }]
  })
  return limits.reduce<(typeof limits)[number] | null>((a, b) => (a === null || b.over < a.over ? b : a), null)
}

/** When what comes next is too late: its greatest wait is over, or the film that was left floating is dry. Null where nothing hurries. */
export function mustBeginBy(state: Begun): Date | null {
  const { steps } = state.plan
  const next = steps[state.done.length]
  const last = steps[state.done.length - 1]
  if (next === undefined || last === undefined) return null
  const limit = tightestLimit(state, next)?.over ?? null
  const wetted = last.driesInMinutes === undefined || last.wait !== undefined ? null : lastWetted(state)
  const dry = wetted === null ? null : new Date(wetted.getTime() + (last.driesInMinutes ?? 0) * 60_000)
  return limit !== null && dry !== null ? (limit < dry ? limit : dry) : (limit ?? dry)
}

/** When film was wetted last: all over in a step, by hand since then, or as the last step left it. */
function lastWetted(state: Begun): Date | null {
  const again = standing(state, 'filmWetted').map(({ at }) => at)
  const at = [...again, ...state.done.slice(-1).map((step) => step.at)].sort().at(-1)
  return at === undefined ? null : new Date(at)
}

/** What else becomes due later on the clock of the wait that runs: other steps that wait from the same wetting. */
export function dueLater(state: Begun): { readonly headline: Sentence; readonly at: Date }[] {
  const wait = runningWait(state)
  const { steps } = state.plan
  const here = state.done.length - 1
  const clock = steps[here]?.wait?.since ?? steps[here]?.id
  if (wait === null || clock === undefined) return []
  return steps.slice(here + 1).flatMap((step, i) => {
    const next = steps[here + 2 + i]
    if (step.wait?.since !== clock || next === undefined) return []
    return [{ headline: next.headline, at: new Date(wait.from.getTime() + step.wait.leastMinutes * 60_000) }]
  })
}

/** Faults that spoil the piece and of which nobody has said yet what becomes of it. */
export function unsettledSpoils(state: Begun): FitEventOf<'problemSeen'>[] {
  const settled = standing(state, 'spoilSettled').at(-1)
  return standing(state, 'problemSeen').filter(
    ({ problem, at }) => spoils(problem) && (settled === undefined || settled.at < at),
  )
}
