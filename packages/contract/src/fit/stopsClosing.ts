import { faultWords } from '@truelay/core/judge'
import { name, say, type Sentence } from '@truelay/core/say'
import type { FitState } from './fitState.ts'
import { openProblems, stopsPart } from './problems.ts'

/** Why a vehicle cannot go out with a part as it is: film hangs half laid, lifts, or is torn. */
export function stopsClosing(part: string, state: FitState): Sentence | null {
  if (state.phase === 'not begun') return null
  const stops = openProblems(state).find(stopsPart)
  if (stops !== undefined)
    return say`${name(part)} is not good yet: ${faultWords(stops.problem)}, ${name(stops.place)}.`
  return state.phase === 'fitting'
    ? say`${name(part)} is begun and not finished: step ${name(`${state.done.length + 1}`)} of ${name(`${state.plan.steps.length}`)}.`
    : null
}
