import { say } from '@truelay/core/say'
import { z } from 'zod'
import { moment } from '../ids.ts'
import { defineDevice, impossible } from './defineDevice.ts'

/** A label printer: how many labels are left on its roll. It is sent pages of labels at the same address. */
export const labelPrinter = defineDevice({
  label: say`Label printer`,
  missing: say`No label printer is connected.`,
  answer: z.object({ at: moment, labelsLeft: z.number() }),
  value: z.strictObject({ labelsLeft: z.number().min(0) }),
  measuredAt: ({ at }) => at,
  valueOf: ({ labelsLeft }) => ({ labelsLeft }),
  oddity: ({ labelsLeft }) => impossible('labels', labelsLeft, 0, 100_000),
  aimed: false,
  mostMinutes: 5,
})
