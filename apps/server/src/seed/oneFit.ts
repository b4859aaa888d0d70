import { randomUUID } from 'node:crypto'
import type { FitEvent, PartId } from '@truelay/contract'
import { add, centroid, dot2, perpendicular, scale, subtract, unit } from '@truelay/core/geometry'
import { type CheckPoint, type PartPlan, planOfStep } from '@truelay/core/plan'
import { radFromDeg } from '@truelay/core/units'

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
  /** What is so of it, where that is known; left out: as it comes. */
  readonly truth?: FitTruth
}

/** What is so of one fit, before anybody measures it. */
export interface FitTruth {
  /** How the film will have to be moved, and turned about the middle of its part. */
  readonly xMm: number
  readonly yMm: number
  readonly turnDeg: number
  /** Real minutes over planned ones. */
  readonly pace: number
  /** The edge at which fingers come. */
  readonly fingersAt: string | null
  /** The piece tears, and another is laid. */
  readonly torn: boolean
  /** How well gaps are read, mm. */
  readonly readingMm: number
}

/** The gap that a rule would find there. */
function gapAt({ at, normal, wantedMm }: CheckPoint, plan: PartPlan, { xMm, yMm, turnDeg }: FitTruth): number {
  const arm = perpendicular(subtract(at, centroid(plan.drawing.part)))
  return wantedMm - dot2(add([xMm, yMm], scale(arm, radFromDeg(turnDeg))), unit(normal))
}

const shareAnswered = 0.6
const shareWrong = 0.05
/** Steps that are gone back to, and done again. */
const shareBack = 0.283
const faults = ['fingers', 'dirt or hair'] as const

/** Every event of a fit up to some step: its beginning, what was mixed, measured, cut and waited for. */
export function eventsOfFit(
  { partId, jobNumber, place, personId, plan, beganAt, steps, truth }: WorkedPart,
  chance: () => number,
): FitEvent[] {
  const events: unknown[] = []
  const lastLaid = plan.steps.filter(({ phase }) => phase === 'lay').at(-1)
  let measured = false
  let at = beganAt.getTime()
  const happens = (kind: string, more: object) =>
    events.push({ id: randomUUID(), partId, personId, at: new Date(at).toISOString(), kind, ...more })
  happens('fitStarted', { plan: { ...plan, partId } })
  for (const step of plan.steps.slice(0, steps)) {
    const stepId = step.id
    at += 60_000 * step.minutes * (truth === undefined ? 0.7 + 0.8 * chance() : truth.pace * (0.8 + 0.4 * chance()))
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
    if (step.records === 'gaps' && plan.checks.length >= 2 && truth !== undefined && !measured) {
      measured = true
      for (const of of [truth, { ...truth, xMm: 0, yMm: 0, turnDeg: 0 }])
        happens('gapsMeasured', {
          stepId,
          readings: planOfStep(plan, step).checks.map((check) => ({
            checkId: check.id,
            measuredMm: gapAt(check, plan, of) + 2 * truth.readingMm * (chance() + chance() - 1),
          })),
        })
    } else if (step.records === 'gaps' && plan.checks.length >= 2)
      for (const offMm of [1.2 * chance(), 0.2 * chance()])
        happens('gapsMeasured', {
          stepId,
          readings: plan.checks.slice(0, 8).map(({ id, wantedMm }) => ({ checkId: id, measuredMm: wantedMm + offMm })),
        })
    if (truth?.fingersAt != null && step.id === lastLaid?.id) {
      const id = randomUUID()
      happens('problemSeen', {
        id,
        stepId,
        problem: 'fingers',
        place: truth.fingersAt,
        comeBack: false,
        when: 'now',
        cause: 'too much film',
      })
      happens('problemSettled', { stepId, problemId: id, outcome: 'put right' })
    }
    if (truth?.torn === true && step.id === lastLaid?.id) {
      happens('problemSeen', {
        stepId,
        problem: 'torn piece',
        place: 'at a corner',
        comeBack: true,
        when: 'at hand-over',
      })
      at += 60_000
      happens('spoilSettled', { stepId, outcome: 'laid again' })
    }
    if (truth === undefined && chance() < shareWrong)
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
