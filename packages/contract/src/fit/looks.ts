import { type FitEventOf, standing } from './fitEvents.ts'
import type { GapReading } from './events/gapsMeasured.ts'
import type { Begun } from './fitState.ts'

export type Looked = FitEventOf<'lookedAt'>

/** What was said last of each stop of the last walk. */
export const looksOf = (state: Pick<Begun, 'logged'>): ReadonlyMap<string, Looked> =>
  new Map(standing(state, 'lookedAt').map((looked) => [looked.stop, looked]))

/** Each gap as it was read last, whatever asked for it. */
export function lastReadings(state: Pick<Begun, 'logged'>): GapReading[] {
  const last = new Map<string, GapReading>()
  for (const { event } of state.logged) {
    if (event.kind !== 'gapsMeasured' && event.kind !== 'lookedAt') continue
    for (const reading of (event as unknown as { readings: GapReading[] }).readings) last.set(reading.checkId, reading)
  }
  return [...last.values()]
}
