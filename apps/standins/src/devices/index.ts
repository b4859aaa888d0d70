import { addHours } from 'date-fns'
import { z } from 'zod'
import { fault, type StandIn } from './defineStandIn.ts'
import { forecast } from './forecast.ts'
import { infrared } from './infrared.ts'
import { labelPrinter } from './labelPrinter.ts'
import { plotter } from './plotter.ts'
import { room } from './room.ts'

/** Every simulated device: a file each. */
export const standIns = { room, infrared, forecast, plotter, labelPrinter } as const
export type DeviceName = keyof typeof standIns
export const deviceNames = Object.keys(standIns) as [DeviceName, ...DeviceName[]]

/** What the simulated devices measure, and how they fail. */
export type Knobs = { [D in DeviceName]: z.infer<(typeof standIns)[D]['measures']> & { fault: z.infer<typeof fault> } }
export const knobs = z.strictObject(
  Object.fromEntries(deviceNames.map((name) => [name, standIns[name].measures.extend({ fault })])),
) as unknown as z.ZodObject<{ [D in DeviceName]: z.ZodType<Knobs[D]> }>
export const atFirst = Object.fromEntries(
  deviceNames.map((name) => [name, { ...standIns[name].atFirst, fault: 'none' }]),
) as Knobs

/** What a device answers now; null where it says nothing. */
export function answerOf(device: DeviceName, set: Knobs, now: Date): unknown {
  const { fault: wrong, ...measures } = set[device]
  if (wrong === 'silent') return null
  const { lateHours, answer } = standIns[device] as unknown as StandIn
  return answer(measures, wrong === 'late' ? addHours(now, -lateHours) : now, wrong === 'nonsense')
}
