import { point } from '@truelay/core/geometry'
import { causeIds, comeBackTimes, faultKinds } from '@truelay/core/judge'
import { z } from 'zod'
import { faultAnswers } from '../faultAnswers.ts'
import { photo } from '../../walkRound.ts'
import { defineFitEvent, eventOfStep } from '../defineFitEvent.ts'
import { logged } from '../fitState.ts'

const problem = z.enum(faultKinds)
const place = z.string().max(80)

/** Something was wrong with the film. It was seen, whatever step is gone back to. */
export const problemSeen = defineFitEvent({
  schema: eventOfStep('problemSeen', {
    problem,
    place,
    comeBack: z.boolean(),
    /** Where, in the film plane, mm. */
    onPart: point.optional(),
    /** What pressing or lifting it showed. */
    answers: faultAnswers.optional(),
    /** The likeliest cause as it was judged then. */
    cause: z.enum(causeIds).optional(),
    /** Pictures of it. */
    photos: z.array(photo).max(6).optional(),
    /** When it is come back to. */
    when: z.enum(comeBackTimes).optional(),
  }),
  actsOn: 'nothing',
  fold: logged('for good'),
})
