import { clock, name, say, type Sentence } from '@truelay/core/say'
import { fitEventKinds } from './events/index.ts'
import type { FitEvent } from './fitEvents.ts'
import type { Begun, FitState } from './fitState.ts'

/**
 * Why an event comes too late: the fit does not stand any more where whoever sent it saw it. Null where it still does.
 *
 * @param nameOf who a person is, by id
 */
export function tooLate(state: FitState, event: FitEvent, nameOf: (personId: string) => string): Sentence | null {
  const { actsOn } = fitEventKinds[event.kind]
  if (state.phase === 'not begun')
    return event.kind === 'fitStarted'
      ? null
      : say`Nobody has begun this part here, or its beginning is not known any more.`
  if (event.kind === 'fitStarted')
    return say`This part was begun at ${clock(state.startedAt)}, by ${name(nameOf(state.startedBy))}.`
  if (actsOn === 'nothing') return null
  const at = actsOn === 'the step in hand' ? state.done.length : state.done.length - 1
  return state.plan.steps[at]?.id === event.stepId ? null : whereItStands(state, event.stepId, nameOf)
}

/** Where the fit stands now, seen from a step of which somebody takes it to be in hand. */
function whereItStands({ plan, done }: Begun, stepId: string, nameOf: (personId: string) => string): Sentence {
  const step = plan.steps.find((s) => s.id === stepId)
  const before = done.findIndex((d) => d.stepId === stepId)
  const since = done[before]
  const inHand = plan.steps[done.length]
  if (step === undefined) return say`The plan of this fit has no such step.`
  if (since !== undefined && before < done.length - 1)
    return say`The fit has gone on since: “${step.headline}” was done at ${clock(since.at)}, by ${name(nameOf(since.personId))}.`
  if (since !== undefined)
    return say`“${step.headline}” was done already, at ${clock(since.at)}, by ${name(nameOf(since.personId))}.`
  if (inHand === undefined) return say`The part is finished.`
  return say`Somebody went back: the fit stands at “${inHand.headline}” now, and “${step.headline}” comes after it.`
}
