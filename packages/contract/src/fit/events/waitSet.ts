import { z } from 'zod'
import { defineFitEvent, eventOfStep } from '../defineFitEvent.ts'
import { logged, withLast } from '../fitState.ts'

export const airSources = ['sensor', 'entered', 'job'] as const
const roomC = z.number().min(-20).max(60)
const humidityPercent = z.number().min(0).max(100)
const minutes = z.number().min(0).max(100_000)
const source = z.enum(airSources)

/** The length of the wait after a step, in the air of the moment. */
export const waitSet = defineFitEvent({
  schema: eventOfStep('waitSet', { minutes, roomC, humidityPercent, source }),
  actsOn: 'the step done last',
  fold: (state, event) => logged('with its step')(withLast(state, event.stepId, { waitMinutes: event.minutes }), event),
})
