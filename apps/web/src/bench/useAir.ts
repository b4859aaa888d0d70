import type { JobBundle, RoomNow } from '@truelay/contract'
import { useRoomQuery } from '../remote/airApi.ts'

const everyMs = 20_000

/** The air as it counts now, where it comes from and how old it is. */
export interface Air {
  readonly temperatureC: number
  readonly humidityPercent: number
  readonly source: 'sensor' | 'entered' | 'job'
  readonly at: string
  /** The server has said what it knows of the room, or cannot be reached: until then this is only what was noted. */
  readonly settled: boolean
  /** How the sensor is doing; null while nobody has asked yet, or the server is away. */
  readonly sensor: RoomNow['sensor'] | null
}

/** The room now: from the sensor, else as entered, else as it was noted with the job. */
export function useAir(job: Pick<JobBundle['job'], 'room' | 'arrivedAt'>): Air {
  const { data, isSuccess, isError } = useRoomQuery(undefined, { pollingInterval: everyMs })
  const now = data?.now ?? null
  const sensor = data?.sensor ?? null
  const settled = isSuccess || isError
  if (now === null)
    return {
      temperatureC: job.room.temperatureC,
      humidityPercent: job.room.humidityPercent,
      source: 'job',
      at: job.arrivedAt,
      sensor,
      settled,
    }
  return { ...now, sensor, settled }
}
