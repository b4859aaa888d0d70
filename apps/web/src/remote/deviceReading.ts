import { type DeviceKind, type DeviceReading, deviceKinds } from '@truelay/contract'
import type { z } from 'zod'
import type { tagTypes } from './api.ts'

/** The reading of one kind of device, checked against that kind's own schema. */
export const deviceReading = <K extends DeviceKind>(kind: K, tag: (typeof tagTypes)[number]) => ({
  query: () => `devices/${kind}/reading`,
  responseSchema: deviceKinds[kind].reading as unknown as z.ZodType<DeviceReading<K>, DeviceReading<K>>,
  providesTags: [tag],
})
