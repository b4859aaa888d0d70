import { cureStepIds, faultOutcomes } from '@truelay/core/judge'
import { z } from 'zod'
import { defineFitEvent, eventOfStep } from '../defineFitEvent.ts'
import { logged } from '../fitState.ts'

const problemId = z.uuid()
const outcome = z.enum(faultOutcomes)

/** What became of something that was wrong. It stays so, whatever step is gone back to. */
export const problemSettled = defineFitEvent({
  schema: eventOfStep('problemSettled', {
    problemId,
    outcome,
    /** What was done, where it was gone through step by step. */
    cure: z.array(z.enum(cureStepIds)).max(20).optional(),
  }),
  actsOn: 'nothing',
  fold: logged('for good'),
})
