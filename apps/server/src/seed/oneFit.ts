import { randomUUID } from 'node:crypto'
import type { FitEvent, PartId } from '@truelay/contract'
import type { PartPlan } from '@truelay/core/plan'

/** The work on one part, as a shop would have logged it. */
export interface WorkedPart {
  readonly partId: PartId
  readonly jobNumber: string
  readonly place: number
  readonly personId: string
  readonly plan: PartPlan
  readonly beganAt: Date
  /** How many of its steps are done. */
  readonly steps: number
}

const shareAnswered = 0.6
const shareWrong = 0.05
/** Steps that are gone back to, and done again. */
const shareBack = 0.283
const faults = ['fingers', 'dirt or hair'] as const

/** Every event of a fit up to some step: its beginning, what was mixed, measured, cut and waited for. */
export function eventsOfFit(
  { partId, jobNumber, place, personId, plan, beganAt, steps }: WorkedPart,
  chance: () => number,
): FitEvent[] {
  const events: unknown[] = []
  let at = beganAt.getTime()
  const happens = (kind: string, more: object) =>
    events.push({ id: randomUUID(), partId, personId, at: new Date(at).toISOString(), kind, ...more })
  happens('fitStarted', { plan: { ...plan, partId } })
  for (const step of plan.steps.slice(0, steps)) {
    const stepId = step.id
    at += 60_000 * step.minutes * (0.7 + 0.8 * chance())
    if (step.records === 'batches')
      plan.solutions.forEach(({ use, school, says, batchMl, strength, add }, i) => {
        const batchNumber = `${jobNumber}.${place}-${i + 1}`
        happens('batchMixed', {
          stepId,
          batchNumber,
          school,
          says,
          batchMl,
          ...strength,
          add: add.map(({ what, ml }) => ({ what, ml })),
        })
        const { id } = events[events.length - 1] as { id: string }
        happens('bottleTaken', { stepId, use, batchId: id, batchNumber, says, ...strength, asPlanned: true })
      })
    if (step.records === 'blade') happens('bladeUsed', { stepId, fresh: chance() < 0.7, cutMm: step.cutMm ?? 0 })
    if (step.records === 'gaps' && plan.checks.length >= 2)
      for (const offMm of [1.2 * chance(), 0.2 * chance()])
        happens('gapsMeasured', {
          stepId,
          readings: plan.checks.slice(0, 8).map(({ id, wantedMm }) => ({ checkId: id, measuredMm: wantedMm + offMm })),
        })
    if (chance() < shareWrong)
      happens('problemSeen', {
        stepId,
        problem: faults[chance() < 0.5 ? 0 : 1],
        place: 'in the middle',
        comeBack: chance() < 0.3,
      })
    happens('stepDone', { stepId })
    if (step.wait === undefined && step.records === undefined && chance() < shareBack) {
      happens('stepReopened', { stepId })
      at += 60_000
      happens('stepDone', { stepId })
    }
    if (step.wait === undefined) continue
    const { kind, leastMinutes, usualMinutes } = step.wait
    happens('waitSet', { stepId, minutes: leastMinutes, roomC: 20, humidityPercent: 50, source: 'sensor' })
    at += 60_000 * leastMinutes
    if (kind !== undefined && usualMinutes > 0 && chance() < shareAnswered)
      happens('waitAnswered', {
        stepId,
        waitKind: kind,
        ready: chance() < 0.7,
        saidMinutes: usualMinutes,
        waitedMinutes: Math.max(0.1, leastMinutes * (0.8 + 0.4 * chance())),
      })
  }
  return events as FitEvent[]
}
