import { z } from 'zod'
import { defineFitEvent, eventOfStep } from '../defineFitEvent.ts'
import { logged } from '../fitState.ts'

/** Of which lot the piece is that is taken in hand, where the kit came in several; told anew for another piece. */
export const lotTold = defineFitEvent({
  schema: eventOfStep('lotTold', { lot: z.string().trim().min(1).max(40) }),
  actsOn: 'the step in hand',
  fold: logged('with its step'),
})
