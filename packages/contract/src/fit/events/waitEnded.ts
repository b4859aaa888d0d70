import { z } from 'zod'
import { defineFitEvent, eventOfStep } from '../defineFitEvent.ts'
import { withLast } from '../fitState.ts'

/** The wait after a step was cut short by hand, by this much. */
export const waitEnded = defineFitEvent({
  schema: eventOfStep('waitEnded', { earlySeconds: z.number().min(0).max(1e6) }),
  actsOn: 'the step done last',
  fold: (state, { stepId, earlySeconds }) => withLast(state, stepId, { earlySeconds }),
})
