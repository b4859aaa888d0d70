import type { Begun } from './fitState.ts'

/** What a step took against what its plan said; a wait is not work. */
export interface WorkedStep {
  readonly stepId: string
  readonly plannedMinutes: number
  /** Null where somebody was called away, so that it tells nothing. */
  readonly workedMinutes: number | null
}

/** A step that took more than so many times its minutes was interrupted. */
const mostTimes = 8

/** Each step that stands as done, in its order. */
export function workedSteps({ plan, done, startedAt }: Begun): WorkedStep[] {
  let before = new Date(startedAt).getTime()
  return done.flatMap(({ stepId, at, waitMinutes, earlySeconds }) => {
    const step = plan.steps.find(({ id }) => id === stepId)
    const end = new Date(at).getTime()
    const worked = (end - before) / 60_000
    before = end + Math.max(0, 60_000 * (waitMinutes ?? step?.wait?.leastMinutes ?? 0) - 1000 * (earlySeconds ?? 0))
    if (step === undefined) return []
    const tells = step.minutes > 0 && worked > 0 && worked < mostTimes * step.minutes
    return [{ stepId, plannedMinutes: step.minutes, workedMinutes: tells ? worked : null }]
  })
}
