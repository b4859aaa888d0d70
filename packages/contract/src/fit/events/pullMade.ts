import { pullsMade } from '@truelay/core/memory'
import { z } from 'zod'
import { defineFitEvent, eventOfStep } from '../defineFitEvent.ts'
import { logged } from '../fitState.ts'

const place = z.string().trim().min(1).max(80)
const needed = z.enum(pullsMade)

/** How far film really had to be pulled over a bulge, beside what the plan had said. */
export const pullMade = defineFitEvent({
  schema: eventOfStep('pullMade', { place, needed }),
  actsOn: 'the step in hand',
  fold: logged('with its step'),
})
