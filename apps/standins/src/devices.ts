import { addHours, startOfHour } from 'date-fns'
import { z } from 'zod'

/** What a device does wrong: answers with an old measurement, not at all, or with a value that cannot be. */
export const fault = z.enum(['none', 'late', 'silent', 'nonsense'])

/** What the simulated devices measure, and how they fail. */
export const knobs = z.strictObject({
  room: z.strictObject({
    temperatureC: z.number().min(-30).max(60),
    humidityPercent: z.number().min(0).max(100),
    fault,
  }),
  infrared: z.strictObject({ surfaceC: z.number().min(-30).max(300), fault }),
  forecast: z.strictObject({
    /** At six in the morning and at three in the afternoon. */
    coldestC: z.number().min(-40).max(50),
    warmestC: z.number().min(-40).max(50),
    fault,
  }),
})
export type Knobs = z.infer<typeof knobs>
export type DeviceName = keyof Knobs

export const atFirst: Knobs = {
  room: { temperatureC: 21.4, humidityPercent: 48, fault: 'none' },
  infrared: { surfaceC: 46, fault: 'none' },
  forecast: { coldestC: 7, warmestC: 14, fault: 'none' },
}

const lateHours = 5
const forecastHours = 96

/** What a device answers now; null where it says nothing. */
export function answerOf(device: DeviceName, set: Knobs, now: Date): unknown {
  const { fault: wrong } = set[device]
  if (wrong === 'silent') return null
  const at = wrong === 'late' ? addHours(now, -lateHours * (device === 'forecast' ? 6 : 1)) : now
  const odd = wrong === 'nonsense'
  switch (device) {
    case 'room':
      return {
        at: at.toISOString(),
        temperatureC: odd ? 850 : set.room.temperatureC,
        humidityPercent: odd ? -40 : set.room.humidityPercent,
      }
    case 'infrared':
      return { at: at.toISOString(), surfaceC: odd ? 6000 : set.infrared.surfaceC }
    case 'forecast':
      return {
        issuedAt: at.toISOString(),
        hours: Array.from({ length: forecastHours }, (_, hour) => {
          const time = addHours(startOfHour(at), hour)
          return { at: time.toISOString(), temperatureC: odd ? 900 : outside(set.forecast, time) }
        }),
      }
  }
}

/** A day's course: coldest at six, warmest at three in the afternoon. */
function outside({ coldestC, warmestC }: Knobs['forecast'], at: Date): number {
  const share = (1 + Math.cos(((at.getHours() - 15) / 24) * 2 * Math.PI)) / 2
  return Math.round(10 * (coldestC + (warmestC - coldestC) * share)) / 10
}
