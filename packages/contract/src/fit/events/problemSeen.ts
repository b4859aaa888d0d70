import { faultKinds } from '@truelay/core/judge'
import { z } from 'zod'
import { moment } from '../../ids.ts'
import { sentence } from '@truelay/core/say'
import { defineFitEvent, eventOfStep } from '../defineFitEvent.ts'
import { logged } from '../fitState.ts'

const problem = z.enum(faultKinds)
const place = z.string().max(80)

/** Something was wrong with the film. It was seen, whatever step is gone back to. */
export const problemSeen = defineFitEvent({
  schema: eventOfStep('problemSeen', { problem, place, comeBack: z.boolean() }),
  actsOn: 'nothing',
  fold: logged('for good'),
  line: {
    schema: z.strictObject({
      problem,
      place,
      during: sentence,
      comeBack: z.boolean(),
      at: moment,
      by: z.string(),
    }),
    of: ({ problem, place, comeBack, stepId, at, personId }, { nameOf, headlineOf }) => ({
      problem,
      place,
      during: headlineOf(stepId),
      comeBack,
      at,
      by: nameOf(personId),
    }),
  },
})
