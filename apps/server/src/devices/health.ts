import type { ForecastNow, InfraredNow, RoomNow } from '@truelay/contract'
import type { forecastAnswer, infraredAnswer, roomAnswer } from '@truelay/contract'
import type { z } from 'zod'
import type { Asked } from './askDevice.ts'

const minuteMs = 60_000
/** A clock may be a little ahead. */
const aheadMs = 5 * minuteMs

interface Health {
  readonly state: 'fresh' | 'late' | 'silent' | 'nonsense' | 'none'
  readonly says: string
  readonly at: string | null
}

/** Judges an answer: nonsense where a value cannot be, late where it is older than `mostMinutes`. */
function judge(at: string, now: Date, mostMinutes: number, oddity: string | null): Health {
  const ageMs = now.getTime() - new Date(at).getTime()
  if (oddity !== null) return { state: 'nonsense', says: oddity, at: null }
  if (ageMs < -aheadMs) return { state: 'nonsense', says: 'Its clock is ahead of this one.', at: null }
  if (ageMs > mostMinutes * minuteMs)
    return { state: 'late', says: `Its last measurement is ${ageWords(ageMs)} old.`, at }
  return { state: 'fresh', says: '', at }
}

const ageWords = (ms: number) => {
  const minutes = Math.round(ms / minuteMs)
  return minutes < 120 ? `${minutes} minutes` : `${Math.round(minutes / 60)} hours`
}

const outside = (what: string, value: number, least: number, most: number) =>
  value >= least && value <= most ? null : `It measures ${value} ${what}: that cannot be.`

const failed = (asked: { state: 'silent' | 'nonsense'; says: string }): Health => ({ ...asked, at: null })
const none = (says: string): Health => ({ state: 'none', says, at: null })

export function roomHealth(asked: Asked<z.infer<typeof roomAnswer>> | null, now: Date): RoomNow['sensor'] {
  if (asked === null) return { ...none('No room sensor is connected.'), value: null }
  if (asked.state !== 'answered') return { ...failed(asked), value: null }
  const { at, temperatureC, humidityPercent } = asked.value
  const health = judge(
    at,
    now,
    20,
    outside('°C', temperatureC, -20, 60) ?? outside('% humidity', humidityPercent, 0, 100),
  )
  return { ...health, value: health.at === null ? null : { temperatureC, humidityPercent } }
}

export function infraredHealth(asked: Asked<z.infer<typeof infraredAnswer>> | null, now: Date): InfraredNow {
  if (asked === null) return { ...none('No infra-red thermometer is connected.'), surfaceC: null }
  if (asked.state !== 'answered') return { ...failed(asked), surfaceC: null }
  const { at, surfaceC } = asked.value
  const health = judge(at, now, 1, outside('°C', surfaceC, -20, 300))
  return { ...health, surfaceC: health.at === null ? null : surfaceC }
}

export function forecastHealth(asked: Asked<z.infer<typeof forecastAnswer>> | null, now: Date): ForecastNow {
  if (asked === null) return { ...none('No forecast is connected.'), hours: [] }
  if (asked.state !== 'answered') return { ...failed(asked), hours: [] }
  const { issuedAt, hours } = asked.value
  const oddity = hours.map((h) => outside('°C', h.temperatureC, -50, 60)).find((o) => o !== null) ?? null
  const health = judge(issuedAt, now, 12 * 60, oddity)
  return {
    ...health,
    hours: health.at === null ? [] : hours.map(({ at, temperatureC }) => ({ at, temperatureC })),
  }
}
