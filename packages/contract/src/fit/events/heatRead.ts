import { heatUse } from '@truelay/core/plan'
import { z } from 'zod'
import { defineFitEvent, eventOfStep } from '../defineFitEvent.ts'
import { logged } from '../fitState.ts'

const readC = z.number().min(0).max(300)
const wantedC = z.number().min(0).max(300)

/** What the thermometer showed right after the passes of a step, beside what the plan had said. */
export const heatRead = defineFitEvent({
  schema: eventOfStep('heatRead', { use: heatUse, readC, wantedC }),
  actsOn: 'the step in hand',
  fold: logged('with its step'),
})
