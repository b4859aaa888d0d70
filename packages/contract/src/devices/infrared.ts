import { say } from '@truelay/core/say'
import { z } from 'zod'
import { moment } from '../ids.ts'
import { defineDevice, impossible } from './defineDevice.ts'

/** An infra-red thermometer: the surface that it is aimed at. */
export const infrared = defineDevice({
  label: say`Infra-red thermometer`,
  missing: say`No infra-red thermometer is connected.`,
  answer: z.object({ at: moment, surfaceC: z.number() }),
  value: z.strictObject({ surfaceC: z.number() }),
  measuredAt: ({ at }) => at,
  valueOf: ({ surfaceC }) => ({ surfaceC }),
  oddity: ({ surfaceC }) => impossible('°C', surfaceC, -20, 300),
  aimed: true,
  mostMinutes: 1,
})
