import { z } from 'zod'
import { photo } from '../../walkRound.ts'
import { defineFitEvent, eventOfStep } from '../defineFitEvent.ts'
import { logged } from '../fitState.ts'
import { gapReading } from './gapsMeasured.ts'

const stop = z.string().min(1).max(80)
const verdict = z.enum(['good', 'fault'])

/** A stop of the last walk round the part was looked at. The same stop again takes the place of what was said before. */
export const lookedAt = defineFitEvent({
  schema: eventOfStep('lookedAt', {
    stop,
    verdict,
    /** Gaps that were read there once more. */
    readings: z.array(gapReading).max(8),
    photos: z.array(photo).max(6),
  }),
  actsOn: 'the step in hand',
  fold: logged('with its step'),
})
