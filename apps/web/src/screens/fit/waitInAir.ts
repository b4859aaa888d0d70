import type { FitEventOf } from '@truelay/contract'
import type { LearnedWaits, PlanStep } from '@truelay/core/plan'
import type { Practice } from '@truelay/core/practice'
import { waitNow } from '@truelay/core/wait'
import type { Air } from '../../bench/useAir.ts'

/** A wait after a step, worked out for the air of this moment. */
export interface WaitInAir {
  readonly minutes: number
  /** Without what was learned: what answers are held against. */
  readonly saidMinutes: number
}

/** Null where the step has no wait that hangs on the air, or the air cannot be. */
export function waitInAir(
  step: Pick<PlanStep, 'wait'> | undefined,
  air: Pick<Air, 'temperatureC' | 'humidityPercent'>,
  practice: Practice,
  learned: LearnedWaits,
): WaitInAir | null {
  const kind = step?.wait?.kind
  if (kind === undefined || kind === 'coolBeforeCut') return null
  const wait = waitNow(
    {
      kind,
      roomC: air.temperatureC,
      humidityPercent: air.humidityPercent,
      alcoholPercent: step?.wait?.alcoholPercent,
      learned: learned[kind],
    },
    practice,
  )
  return wait.ok ? { minutes: wait.value.minutes, saidMinutes: wait.value.minutes / wait.value.learned } : null
}

/** Air that changes a running wait by less than this is let be. */
const worthShare = 0.05

export const worthSetting = (before: number, now: number) => Math.abs(now - before) > worthShare * before

export const waitSet = (stepId: string, minutes: number, air: Air) => ({
  kind: 'waitSet' as const,
  stepId,
  minutes,
  roomC: air.temperatureC,
  humidityPercent: air.humidityPercent,
  source: air.source satisfies FitEventOf<'waitSet'>['source'],
})
