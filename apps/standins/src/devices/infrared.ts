import { z } from 'zod'
import { defineStandIn } from './defineStandIn.ts'

export const infrared = defineStandIn({
  label: 'Infra-red thermometer',
  measures: z.strictObject({ surfaceC: z.number().min(-30).max(300) }),
  names: { surfaceC: 'surface, °C' },
  atFirst: { surfaceC: 46 },
  lateHours: 5,
  answer: ({ surfaceC }, at, odd) => ({ at: at.toISOString(), surfaceC: odd ? 6000 : surfaceC }),
})
