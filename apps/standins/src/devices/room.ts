import { z } from 'zod'
import { defineStandIn } from './defineStandIn.ts'

export const room = defineStandIn({
  label: 'Room sensor',
  measures: z.strictObject({
    temperatureC: z.number().min(-30).max(60),
    humidityPercent: z.number().min(0).max(100),
  }),
  names: { temperatureC: 'temperature, °C', humidityPercent: 'humidity, %' },
  atFirst: { temperatureC: 21.4, humidityPercent: 48 },
  lateHours: 5,
  answer: ({ temperatureC, humidityPercent }, at, odd) => ({
    at: at.toISOString(),
    temperatureC: odd ? 850 : temperatureC,
    humidityPercent: odd ? -40 : humidityPercent,
  }),
})
