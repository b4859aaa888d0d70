import type { Practice } from '@truelay/core/practice'
import type { Result } from '@truelay/core/result'
import { type Climate, type Release, releaseAt } from '@truelay/core/wait'
import { useMemo } from 'react'
import { useForecastQuery } from '../remote/airApi.ts'

interface ReleaseAsked {
  readonly room: Climate
  readonly finishedAt: Date
  readonly practice: Practice
  /** The coldest that somebody expects outside, where no forecast is to be had; null = nobody has said. */
  readonly expectedC: number | null
}

/** When a vehicle may go outside, by the forecast, else by what somebody expects; null where neither is known. */
export function useRelease({ room, finishedAt, practice, expectedC }: ReleaseAsked) {
  const { data: forecast } = useForecastQuery(undefined, { pollingInterval: 600_000 })
  const usable = forecast?.value ?? null
  const finished = finishedAt.getTime()
  const release = useMemo((): Result<Release> | null => {
    const hours =
      usable !== null
        ? usable.hours.map((h) => ({ at: new Date(h.at), temperatureC: h.temperatureC }))
        : expectedC === null
          ? null
          : Array.from({ length: 120 }, (_, hour) => ({
              at: new Date(finished + hour * 3_600_000),
              temperatureC: expectedC,
            }))
    return hours === null
      ? null
      : releaseAt(
          {
            finishedAt: new Date(finished),
            room: { roomC: room.roomC, humidityPercent: room.humidityPercent },
            forecast: hours,
          },
          practice,
        )
  }, [usable, expectedC, finished, room.roomC, room.humidityPercent, practice])
  return { forecast, usable, release }
}

/** Work that is not done yet ends now at the earliest; what is done ended with its last part. */
export function earliestEnd(parts: readonly { readonly finishedAt: string | null }[], now: Date): Date {
  const ends = parts.map(({ finishedAt }) => (finishedAt === null ? now.getTime() : new Date(finishedAt).getTime()))
  return new Date(Math.max(...ends))
}
