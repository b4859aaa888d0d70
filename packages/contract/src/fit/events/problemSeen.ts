import { faultKinds } from '@truelay/core/judge'
import { z } from 'zod'
import { defineFitEvent, eventOfStep } from '../defineFitEvent.ts'
import { logged } from '../fitState.ts'

const problem = z.enum(faultKinds)
const place = z.string().max(80)

/** Something was wrong with the film. It was seen, whatever step is gone back to. */
export const problemSeen = defineFitEvent({
  schema: eventOfStep('problemSeen', { problem, place, comeBack: z.boolean() }),
  actsOn: 'nothing',
  fold: logged('for good'),
})
