import { z } from 'zod'
import { addition, liquidSchool, strength } from '../../partPlan.ts'
import { sentence } from '@truelay/core/say'
import { defineFitEvent, eventOfStep } from '../defineFitEvent.ts'
import { logged } from '../fitState.ts'

const batchMl = z.number().min(0).max(100_000)

/** A liquid was mixed for this fit; it stands on the bench from then on, and what was poured is taken off the supplies. */
export const batchMixed = defineFitEvent({
  schema: eventOfStep('batchMixed', {
    batchNumber: z.string().min(1).max(30),
    /** Null where it was mixed to a strength of its own. */
    school: liquidSchool.nullable(),
    says: sentence,
    batchMl,
    ...strength.shape,
    /** What was poured, for the supplies. */
    add: z.array(addition).max(10),
  }),
  actsOn: 'the step in hand',
  fold: logged('with its step'),
})
