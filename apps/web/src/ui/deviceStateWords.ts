import type { DeviceReading } from '@truelay/contract'
import { say, type Sentence } from '@truelay/core/say'

/** How a device is doing, in a word or two. */
export const deviceStateWords: Readonly<Record<DeviceReading['state'], Sentence>> = {
  fresh: say`well`,
  late: say`late`,
  silent: say`silent`,
  nonsense: say`measures nonsense`,
  none: say`not connected`,
}
