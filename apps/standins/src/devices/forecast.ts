import { addHours, startOfHour } from 'date-fns'
import { z } from 'zod'
import { defineStandIn } from './defineStandIn.ts'

const forecastHours = 96
const degrees = z.number().min(-40).max(50)

export const forecast = defineStandIn({
  label: 'Forecast outside',
  measures: z.strictObject({ coldestC: degrees, warmestC: degrees }),
  names: { coldestC: 'coldest, at six in the morning, °C', warmestC: 'warmest, at three in the afternoon, °C' },
  atFirst: { coldestC: 7, warmestC: 14 },
  lateHours: 30,
  answer: (set, at, odd) => ({
    issuedAt: at.toISOString(),
    hours: Array.from({ length: forecastHours }, (_, hour) => {
      const time = addHours(startOfHour(at), hour)
      return { at: time.toISOString(), temperatureC: odd ? 900 : outside(set, time) }
    }),
  }),
})

/** A day's course: coldest at six, warmest at three in the afternoon. */
function outside({ coldestC, warmestC }: { readonly coldestC: number; readonly warmestC: number }, at: Date): number {
  const share = (1 + Math.cos(((at.getHours() - 15) / 24) * 2 * Math.PI)) / 2
  return Math.round(10 * (coldestC + (warmestC - coldestC) * share)) / 10
}
