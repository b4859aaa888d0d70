import { z } from 'zod'
import { defineFitEvent, eventOfStep } from '../defineFitEvent.ts'
import { logged } from '../fitState.ts'

const cutMm = z.number().min(0).max(100_000)

/** What was cut with a blade, and whether with a fresh segment. */
export const bladeUsed = defineFitEvent({
  schema: eventOfStep('bladeUsed', { fresh: z.boolean(), cutMm }),
  actsOn: 'the step in hand',
  fold: logged('with its step'),
})
