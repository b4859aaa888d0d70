import { spoilOutcomes } from '@truelay/core/judge'
import { z } from 'zod'
import { defineFitEvent, eventOfStep } from '../defineFitEvent.ts'
import { logged } from '../fitState.ts'

const outcome = z.enum(spoilOutcomes)

/** What becomes of a piece that was torn or burnt. */
export const spoilSettled = defineFitEvent({
  schema: eventOfStep('spoilSettled', { outcome }),
  actsOn: 'the step in hand',
  fold: logged('with its step'),
})
