import { z } from 'zod'
import { photo } from '../../walkRound.ts'
import { defineFitEvent, eventOfStep } from '../defineFitEvent.ts'
import { logged } from '../fitState.ts'

const when = z.enum(['before', 'after'])

/** A picture of the part before anything was done to it, or when all was. */
export const photographed = defineFitEvent({
  schema: eventOfStep('photographed', { when, photo }),
  actsOn: 'nothing',
  fold: logged('for good'),
})
