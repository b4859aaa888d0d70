import { figure, say, type Sentence, verbatim, sentence } from '@truelay/core/say'
import { z } from 'zod'
import { moment } from '../ids.ts'

export const deviceStates = ['fresh', 'late', 'silent', 'nonsense', 'none'] as const

/** How a device is doing, and what to do when it is not. */
const health = {
  state: z.enum(deviceStates),
  /** Why there is no value, or why it is not to be trusted. */
  says: sentence,
  /** Of the measurement; null where there is none. */
  at: moment.nullable(),
}

/** One kind of device, whole: what it answers, what is taken from that, and when it is not to be trusted. */
export interface DeviceDefinition<A extends z.ZodType, V extends z.ZodType> {
  readonly label: Sentence
  /** Said where no such device is connected. */
  readonly missing: Sentence
  /** What a simulated or real device answers. Looked at with care: devices err. */
  readonly answer: A
  readonly value: V
  readonly measuredAt: (answer: z.infer<A>) => string
  readonly valueOf: (answer: z.infer<A>) => z.infer<V>
  /** Why an answer cannot be; null where it can. */
  readonly oddity: (answer: z.infer<A>) => Sentence | null
  /** It measures where somebody aims it, so it is asked only when somebody asks. */
  readonly aimed: boolean
  /** An answer older than this is late. */
  readonly mostMinutes: number
}

/** A device with the schema of a reading of it. */
export const defineDevice = <A extends z.ZodType, V extends z.ZodType>(device: DeviceDefinition<A, V>) => ({
  ...device,
  reading: z.strictObject({ ...health, value: device.value.nullable() }),
})

/** A measurement that cannot be, in words; null where it can. */
export const impossible = (unit: string, value: number, least: number, most: number): Sentence | null =>
  value >= least && value <= most ? null : say`It measures ${figure(value, 2)} ${verbatim(unit)}: that cannot be.`
