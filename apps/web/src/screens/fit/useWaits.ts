import { type JobBundle, runningWait } from '@truelay/contract'
import { practiceWith } from '@truelay/core/practice'
import { useEffect, useMemo } from 'react'
import { useAir } from '../../bench/useAir.ts'
import { useLearnedWaits } from '../../bench/useToday.ts'
import type { Fitting } from './fitting.ts'
import type { Happened } from './useFit.ts'
import { waitInAir, waitSet, worthSetting } from './waitInAir.ts'

/** An early "ready" counts as an answer once this share of the wait has passed; sooner it is only skipped. */
const answersFrom = 0.3
/** "Not yet" waits this much longer. */
const longer = 1.3

export type Waits = ReturnType<typeof useWaits>

/** The waits of a fit in the air of the moment: set when a step is done, set again when the air changes, and learned from. */
export function useWaits(bundle: JobBundle, state: Fitting, now: Date, happened: Happened) {
  const air = useAir(bundle.job)
  const learned = useLearnedWaits()
  const practice = useMemo(() => practiceWith(bundle.shop.practice), [bundle.shop.practice])
  const wait = runningWait(state)
  const waiting = wait !== null && wait.until > now
  const last = state.done[state.done.length - 1]
  const lastStep = state.plan.steps[state.done.length - 1]
  const inAir = useMemo(() => waitInAir(lastStep, air, practice, learned), [lastStep, air, practice, learned])
  const setMinutes = last?.waitMinutes ?? lastStep?.wait?.leastMinutes ?? 0

  const fresher =
    waiting &&
    air.settled &&
    last !== undefined &&
    last.answered !== false &&
    inAir !== null &&
    worthSetting(setMinutes, inAir.minutes)
  const stepId = last?.stepId
  const minutes = inAir?.minutes
  // biome-ignore lint/correctness/useExhaustiveDependencies: only a change that matters sets the wait again
  useEffect(() => {
    if (fresher && stepId !== undefined && minutes !== undefined) happened(waitSet(stepId, minutes, air))
  }, [fresher, stepId, minutes])

  /** What goes into the log together with a step that is done. */
  const setFor = (index: number) => {
    const step = state.plan.steps[index]
    const worked = waitInAir(step, air, practice, learned)
    return step === undefined || worked === null ? [] : [waitSet(step.id, worked.minutes, air)]
  }
  const kind = lastStep?.wait?.kind
  const answer = (ready: boolean, waitedMinutes: number) => {
    if (last === undefined || inAir === null || kind === undefined) return
    const said = {
      kind: 'waitAnswered' as const,
      stepId: last.stepId,
      waitKind: kind,
      ready,
      saidMinutes: inAir.saidMinutes,
      waitedMinutes: Math.max(0.1, waitedMinutes),
    }
    if (ready) happened(said)
    else happened(said, waitSet(last.stepId, waitedMinutes * longer, air))
  }
  const readyEarly = () => {
    if (last === undefined || wait === null) return
    const whole = wait.until.getTime() - wait.from.getTime()
    const leftMs = Math.max(0, wait.until.getTime() - Date.now())
    const ended = { kind: 'waitEnded' as const, stepId: last.stepId, earlySeconds: Math.round(leftMs / 1000) }
    const waitedMinutes = (whole - leftMs) / 60_000
    if (inAir === null || kind === undefined || whole - leftMs < answersFrom * whole) return happened(ended)
    happened(ended, {
      kind: 'waitAnswered',
      stepId: last.stepId,
      waitKind: kind,
      ready: true,
      saidMinutes: inAir.saidMinutes,
      waitedMinutes,
    })
  }
  const asks =
    !waiting && wait !== null && inAir !== null && last !== undefined && last.answered !== true
      ? { label: wait.label, minutes: (wait.until.getTime() - wait.from.getTime()) / 60_000 }
      : null
  return {
    air,
    wait,
    waiting,
    setFor,
    answer,
    readyEarly,
    asks,
    usualMinutes: inAir === null ? null : (lastStep?.wait?.usualMinutes ?? null),
  }
}
