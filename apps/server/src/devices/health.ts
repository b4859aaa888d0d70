import { type DeviceKind, type DeviceReading, deviceKinds } from '@truelay/contract'
import { hours, minutes, nothing, say, type Sentence } from '@truelay/core/say'
import type { Asked } from './askDevice.ts'

const minuteMs = 60_000
/** A clock may be a little ahead. */
const aheadMs = 5 * minuteMs

/** What is known from a device once it was asked; `asked` is null where none is connected. */
export function readingOf<K extends DeviceKind>(kind: K, asked: Asked<unknown> | null, now: Date): DeviceReading<K> {
  const device = deviceKinds[kind]
  const unknown = { at: null, value: null }
  const reading = (): DeviceReading => {
    if (asked === null) return { state: 'none', says: device.missing, ...unknown }
    if (asked.state !== 'answered') return { state: asked.state, says: asked.says, ...unknown }
    const answer = asked.value as never
    const at = device.measuredAt(answer)
    const ageMs = now.getTime() - new Date(at).getTime()
    const odd = device.oddity(answer) ?? (ageMs < -aheadMs ? say`Its clock is ahead of this one.` : null)
    if (odd !== null) return { state: 'nonsense', says: odd, ...unknown }
    const value = device.valueOf(answer)
    return (
      ageMs > device.mostMinutes * minuteMs
        ? { state: 'late', says: say`Its last measurement is ${ageWords(ageMs)} old.`, at, value }
        : { state: 'fresh', says: nothing, at, value }
    ) as DeviceReading
  }
  return reading() as DeviceReading<K>
}

function ageWords(ms: number): Sentence {
  const age = Math.round(ms / minuteMs)
  return age < 120 ? say`${minutes(age)}` : say`${hours(Math.round(age / 60))}`
}
