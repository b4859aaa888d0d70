import { z } from 'zod'
import { defineStandIn } from './defineStandIn.ts'

export const plotter = defineStandIn({
  label: 'Plotter',
  measures: z.strictObject({
    rollWidthMm: z.number().min(100).max(3000),
    filmLeftMm: z.number().min(0).max(100_000),
    cutsPercent: z.number().min(90).max(110),
  }),
  names: {
    rollWidthMm: 'width of its roll, mm',
    filmLeftMm: 'film left, mm',
    cutsPercent: 'length that it cuts of what it is told, %',
  },
  atFirst: { rollWidthMm: 1520, filmLeftMm: 8200, cutsPercent: 100 },
  lateHours: 5,
  answer: ({ rollWidthMm, filmLeftMm }, at, odd) => ({
    at: at.toISOString(),
    rollWidthMm: odd ? -1 : rollWidthMm,
    filmLeftMm,
  }),
})
