import { defineFitEvent, eventOfStep } from '../defineFitEvent.ts'
import { logged } from '../fitState.ts'

/** Film that was drying has been wetted again, all over: its clock begins anew. */
export const filmWetted = defineFitEvent({
  schema: eventOfStep('filmWetted', {}),
  actsOn: 'the step in hand',
  fold: logged('with its step'),
})
