import { say } from '@truelay/core/say'
import { z } from 'zod'
import { moment } from '../ids.ts'
import { defineDevice, impossible } from './defineDevice.ts'

/** A cutting plotter: what roll is in it. It is sent a cut at the same address. */
export const plotter = defineDevice({
  label: say`Plotter`,
  missing: say`No plotter is connected.`,
  answer: z.object({ at: moment, rollWidthMm: z.number(), filmLeftMm: z.number() }),
  value: z.strictObject({ rollWidthMm: z.number().positive(), filmLeftMm: z.number().min(0) }),
  measuredAt: ({ at }) => at,
  valueOf: ({ rollWidthMm, filmLeftMm }) => ({ rollWidthMm, filmLeftMm }),
  oddity: ({ rollWidthMm, filmLeftMm }) =>
    impossible('mm of width', rollWidthMm, 50, 5000) ?? impossible('mm of film', filmLeftMm, 0, 1_000_000),
  aimed: false,
  mostMinutes: 5,
})
