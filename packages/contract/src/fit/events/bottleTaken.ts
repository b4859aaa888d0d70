import { z } from 'zod'
import { batchId } from '../../ids.ts'
import { bottleUse } from '@truelay/core/plan'
import { strength } from '../../partPlan.ts'
import { sentence } from '@truelay/core/say'
import { defineFitEvent, eventOfStep } from '../defineFitEvent.ts'
import { logged } from '../fitState.ts'

/** Which bottle is in hand, and whether it is alike the planned one. */
export const bottleTaken = defineFitEvent({
  schema: eventOfStep('bottleTaken', {
    use: bottleUse,
    batchId: batchId.nullable(),
    batchNumber: z.string().min(1).max(30),
    says: sentence,
    ...strength.shape,
    asPlanned: z.boolean(),
  }),
  actsOn: 'the step in hand',
  fold: logged('with its step'),
})
