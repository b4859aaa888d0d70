import { z } from 'zod'
import { moment } from '../ids.ts'
import { forecast } from './forecast.ts'
import { infrared } from './infrared.ts'
import { labelPrinter } from './labelPrinter.ts'
import { plotter } from './plotter.ts'
import { room, roomAir } from './room.ts'

/** Every kind of device that a shop can connect: a file each. */
export const deviceKinds = { room, infrared, forecast, plotter, labelPrinter } as const
export type DeviceKind = keyof typeof deviceKinds
export const deviceNames = Object.keys(deviceKinds) as [DeviceKind, ...DeviceKind[]]
export const deviceKind = z.enum(deviceNames)

/** What is known from a device now: how it is doing, and its measurement where that can be trusted. */
export type DeviceReading<K extends DeviceKind = DeviceKind> = z.infer<(typeof deviceKinds)[K]['reading']>

/** Where devices are asked; null = not connected. */
export const deviceAddress = z
  .url({ protocol: /^https?$/, error: 'must be an address that begins with http:// or https://' })
  .max(300)
  .nullable()
export const deviceAddresses = z.record(deviceKind, deviceAddress)
export type DeviceAddresses = z.infer<typeof deviceAddresses>
export const unconnected = Object.fromEntries(deviceNames.map((kind) => [kind, null])) as DeviceAddresses

export const enteredRoom = roomAir
export type EnteredRoom = z.infer<typeof enteredRoom>

/** The air in the room now: from the sensor while it is fresh, else as somebody entered it; null where neither is known. */
export const roomNow = z.strictObject({
  now: roomAir.extend({ at: moment, source: z.enum(['sensor', 'entered']) }).nullable(),
  sensor: room.reading,
})
export type RoomNow = z.infer<typeof roomNow>
