import { z } from 'zod'
import { defineStandIn } from './defineStandIn.ts'

export const labelPrinter = defineStandIn({
  label: 'Label printer',
  measures: z.strictObject({ labelsLeft: z.number().min(0).max(10_000) }),
  names: { labelsLeft: 'labels left on its roll' },
  atFirst: { labelsLeft: 400 },
  lateHours: 5,
  answer: ({ labelsLeft }, at, odd) => ({ at: at.toISOString(), labelsLeft: odd ? -5 : labelsLeft }),
})
