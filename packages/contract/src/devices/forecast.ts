import { say } from '@truelay/core/say'
import { z } from 'zod'
import { moment } from '../ids.ts'
import { defineDevice, impossible } from './defineDevice.ts'

/** A forecast of the temperature outside, hour by hour: it decides when a vehicle may leave. */
export const forecast = defineDevice({
  label: say`Forecast outside`,
  missing: say`No forecast is connected.`,
  answer: z.object({
    issuedAt: moment,
    hours: z.array(z.object({ at: moment, temperatureC: z.number() })).max(400),
  }),
  value: z.strictObject({ hours: z.array(z.strictObject({ at: moment, temperatureC: z.number() })) }),
  measuredAt: ({ issuedAt }) => issuedAt,
  valueOf: ({ hours }) => ({ hours: hours.map(({ at, temperatureC }) => ({ at, temperatureC })) }),
  oddity: ({ hours }) =>
    hours.map((h) => impossible('°C', h.temperatureC, -50, 60)).find((odd) => odd !== null) ?? null,
  aimed: false,
  mostMinutes: 12 * 60,
})
