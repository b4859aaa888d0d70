import { z } from 'zod'
import { partPlan } from '../../partPlan.ts'
import { common, defineFitEvent } from '../defineFitEvent.ts'

/** The fit begins with the whole plan, which it keeps from then on; a second beginning changes nothing. */
export const fitStarted = defineFitEvent({
  schema: z.strictObject({ ...common, kind: z.literal('fitStarted'), plan: partPlan }),
  actsOn: 'the beginning',
  fold: (state) => state,
})
