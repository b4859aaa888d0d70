import { z } from 'zod'
import { waitKind } from '@truelay/core/plan'
import { defineFitEvent, eventOfStep } from '../defineFitEvent.ts'
import { withLast } from '../fitState.ts'

/** Was it ready when it was said to be? `saidMinutes` is without what was learned before. */
export const waitAnswered = defineFitEvent({
  schema: eventOfStep('waitAnswered', {
    waitKind,
    ready: z.boolean(),
    saidMinutes: z.number().positive().max(100_000),
    waitedMinutes: z.number().positive().max(100_000),
  }),
  actsOn: 'the step done last',
  fold: (state, { stepId, ready }) => withLast(state, stepId, { answered: ready }),
})
