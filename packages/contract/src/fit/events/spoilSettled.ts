import { pieceSources, spoilOutcomes } from '@truelay/core/judge'
import { z } from 'zod'
import { defineFitEvent, eventOfStep } from '../defineFitEvent.ts'
import { logged } from '../fitState.ts'

const outcome = z.enum(spoilOutcomes)

/** What becomes of a piece that was torn or burnt. */
export const spoilSettled = defineFitEvent({
  schema: eventOfStep('spoilSettled', {
    outcome,
    /** Where another piece comes from, where one is laid. */
    from: z.enum(pieceSources).optional(),
  }),
  actsOn: 'the step in hand',
  // Another piece that was taken stays taken, whatever step is gone back to.
  fold: (state, event) => logged(event.from === undefined ? 'with its step' : 'for good')(state, event),
})
