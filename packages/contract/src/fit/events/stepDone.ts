import { defineFitEvent, eventOfStep } from '../defineFitEvent.ts'

/** The next step of the plan is done; any other makes no sense. */
export const stepDone = defineFitEvent({
  schema: eventOfStep('stepDone', {}),
  actsOn: 'the step in hand',
  fold(state, { stepId, at, personId }) {
    if (state.plan.steps[state.done.length]?.id !== stepId) return state
    const done = [...state.done, { stepId, at, personId }]
    return { ...state, done, phase: done.length === state.plan.steps.length ? 'finished' : 'fitting' }
  },
})
