import { defineFitEvent, eventOfStep } from '../defineFitEvent.ts'

/** Back to a step: it and all after it are open again, and what they logged is retired with them. The log itself keeps all. */
export const stepReopened = defineFitEvent({
  schema: eventOfStep('stepReopened', {}),
  actsOn: 'the step done last',
  fold(state, { stepId }) {
    const index = state.done.findIndex((d) => d.stepId === stepId)
    if (index < 0) return state
    const open = new Set(state.plan.steps.slice(index).map((step) => step.id))
    return {
      ...state,
      phase: 'fitting',
      done: state.done.slice(0, index),
      logged: state.logged.filter(({ stands, event }) => stands === 'for good' || !open.has(event.stepId)),
    }
  },
})
