import type { Practice } from '../practice/index.ts'
import { done, type Result } from '../result/index.ts'
import { type ClimateWait, slideMinutes, usualClimate, type WaitKind, waitKinds, waitNow } from '../wait/index.ts'
import type { RoomClimate } from './findings.ts'
import type { PlannedBatch } from './partPlan.ts'
import type { StepWait } from './step.ts'

/** What the shop's own answers make of each wait. */
export type LearnedWaits = Readonly<Partial<Record<WaitKind, number>>>

/** Every wait of the trade in the air of the day. Can be refused: `WAIT_OUT_OF_RANGE`. */
export function waitPlan(
  room: RoomClimate | undefined,
  solutions: readonly PlannedBatch[],
  practice: Practice,
  learned: LearnedWaits = {},
): Result<ClimateWait[]> {
  const climate =
    room === undefined ? usualClimate : { roomC: room.temperatureC, humidityPercent: room.humidityPercent }
  const waits: ClimateWait[] = []
  for (const kind of waitKinds) {
    const wait = waitNow(
      { kind, ...climate, alcoholPercent: strengthAt(kind, solutions), learned: learned[kind] },
      practice,
    )
    if (!wait.ok) return wait
    waits.push(wait.value)
  }
  return done(waits)
}

const atEdges: ReadonlySet<WaitKind> = new Set(['initialGrab', 'beforeWrap', 'beforeTrim'])

/** Strength of what dries in a wait, per cent: tack at the edges; undefined where the wait knows best. */
export const strengthAt = (kind: WaitKind, solutions: readonly PlannedBatch[]): number | undefined =>
  atEdges.has(kind) ? solutions.find((s) => s.use === 'tack')?.strength.alcoholPercent : undefined

/** How long film floats before it has to be wetted again, to half a minute; the shop's own figure where nothing is mixed. */
export function wetMinutes(
  room: RoomClimate | undefined,
  solutions: readonly PlannedBatch[],
  practice: Practice,
): number {
  const strength = (use: 'slip' | 'tack') => solutions.find((s) => s.use === use)?.strength
  const slip = strength('slip')
  // What a maker's fluid does is known to its maker: the shop's own figure holds.
  if (slip === undefined || solutions.some((s) => s.school === 'single fluid')) return practice.waitWetFilm
  const climate =
    room === undefined ? usualClimate : { roomC: room.temperatureC, humidityPercent: room.humidityPercent }
  const minutes = slideMinutes({ slip, tackAlcoholPercent: strength('tack')?.alcoholPercent ?? 0, climate }, practice)
  return Math.max(0.5, Math.round(minutes * 2) / 2)
}

/** A wait as it stands after a step. */
export function stepWait(kind: WaitKind, waits: readonly ClimateWait[], solutions: readonly PlannedBatch[]): StepWait {
  const wait = waits.find((w) => w.kind === kind)
  if (wait === undefined) throw new RangeError(`no wait "${kind}" was worked out`)
  const alcoholPercent = strengthAt(kind, solutions)
  return {
    kind,
    label: wait.label,
    leastMinutes: wait.minutes,
    usualMinutes: wait.usualMinutes,
    factor: wait.factor * wait.learned,
    ...(alcoholPercent === undefined ? {} : { alcoholPercent }),
  }
}
