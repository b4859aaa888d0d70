import { say } from '@truelay/core/say'
import { z } from 'zod'
import { moment } from '../ids.ts'
import { defineDevice, impossible } from './defineDevice.ts'

export const roomAir = z.strictObject({
  temperatureC: z.number().min(-20).max(60),
  humidityPercent: z.number().min(0).max(100),
})

/** A sensor in the room: the air in which film dries. */
export const room = defineDevice({
  label: say`Room sensor`,
  missing: say`No room sensor is connected.`,
  answer: z.object({ at: moment, temperatureC: z.number(), humidityPercent: z.number() }),
  value: roomAir,
  measuredAt: ({ at }) => at,
  valueOf: ({ temperatureC, humidityPercent }) => ({ temperatureC, humidityPercent }),
  oddity: ({ temperatureC, humidityPercent }) =>
    impossible('°C', temperatureC, -20, 60) ?? impossible('% humidity', humidityPercent, 0, 100),
  aimed: false,
  mostMinutes: 20,
})
