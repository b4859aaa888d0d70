import { z } from 'zod'
import { moment } from './ids.ts'

/** What a simulated or real device answers. Looked at with care: devices err. */
export const roomAnswer = z.object({ at: moment, temperatureC: z.number(), humidityPercent: z.number() })
export const infraredAnswer = z.object({ at: moment, surfaceC: z.number() })
export const forecastAnswer = z.object({
  issuedAt: moment,
  hours: z.array(z.object({ at: moment, temperatureC: z.number() })).max(400),
})

export const deviceKinds = ['room', 'infrared', 'forecast'] as const
export const deviceKind = z.enum(deviceKinds)
export type DeviceKind = z.infer<typeof deviceKind>

/** How a device is doing, and what to do when it is not. */
const health = {
  state: z.enum(['fresh', 'late', 'silent', 'nonsense', 'none']),
  /** Why there is no value, or why it is not to be trusted. */
  says: z.string(),
  /** Of the measurement; null where there is none. */
  at: moment.nullable(),
}

const climate = { temperatureC: z.number().min(-20).max(60), humidityPercent: z.number().min(0).max(100) }

export const enteredRoom = z.strictObject(climate)
export type EnteredRoom = z.infer<typeof enteredRoom>

/** The air in the room now: from the sensor while it is fresh, else as somebody entered it; null where neither is known. */
export const roomNow = z.strictObject({
  now: z.strictObject({ ...climate, at: moment, source: z.enum(['sensor', 'entered']) }).nullable(),
  sensor: z.strictObject({ ...health, value: z.strictObject(climate).nullable() }),
})
export type RoomNow = z.infer<typeof roomNow>

export const infraredNow = z.strictObject({ ...health, surfaceC: z.number().nullable() })
export type InfraredNow = z.infer<typeof infraredNow>

export const forecastNow = z.strictObject({
  ...health,
  hours: z.array(z.strictObject({ at: moment, temperatureC: z.number() })),
})
export type ForecastNow = z.infer<typeof forecastNow>

/** Where devices are asked; null = not connected. */
export const deviceAddress = z
  .url({ protocol: /^https?$/, error: 'must be an address that begins with http:// or https://' })
  .max(300)
  .nullable()
export const devices = z.strictObject({ room: deviceAddress, infrared: deviceAddress, forecast: deviceAddress })
export type Devices = z.infer<typeof devices>

/** What the answers of "was it ready?" have taught, by wait. */
export const learned = z.strictObject({
  waits: z.array(
    z.strictObject({ kind: z.string(), factor: z.number(), sigma: z.number(), answers: z.number().int() }),
  ),
})
export type Learned = z.infer<typeof learned>
