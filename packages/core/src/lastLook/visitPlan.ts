import { type FaultKind, faultWords } from '../judge/index.ts'
import type { LaidStage, PartPlan, PlanStep } from '../plan/index.ts'
import { atStart, clauses, name, nothing, paragraph, say, type Sentence } from '../say/index.ts'

export interface LaidBefore {
  /** The part of the visit. */
  readonly partId: string
  /** The plan by which it was laid. */
  readonly plan: PartPlan
  readonly stage: LaidStage
  /** What was left open when it was handed over. */
  readonly open: readonly { readonly problem: FaultKind; readonly place: string }[]
}

const bare = { liquids: [], people: 1, references: [], cautions: [] }

/**
 * A come-back visit to a part that was laid: its edges are walked once more, what was left open is settled, and it goes out again. Everything
 * that a judgement needs (drawing, heat, edges) stays as it was laid.
 */
export function visitPlan({ partId, plan, stage, open }: LaidBefore): PartPlan {
  const told = plan.steps.find((step) => step.tells === 'aftercare')?.detail
  const steps: PlanStep[] = [
    {
      ...bare,
      id: 'visit-walk',
      phase: 'look',
      headline: say`Walk every edge again`,
      detail: say`Finger along every edge, light at a low angle. Press what stands up; warm it again where it does not stay.`,
      why: say`Edges that lift do so in the first days; what holds now stays.`,
      picture: { film: 'laid', marks: [{ kind: 'edge', edge: '*' }] },
      tools: ['lamp light'],
      minutes: 4,
      records: 'edges',
    },
    ...(open.length === 0 ? [] : [leftOpen(open)]),
    {
      ...bare,
      id: 'visit-hand-on',
      phase: 'look',
      headline: say`Wipe, photograph, done`,
      detail: paragraph(told !== undefined && say`Where film was lifted or warmed again: ${told}`),
      why: nothing,
      picture: { film: 'laid', marks: [] },
      tools: ['dry cloth', 'camera'],
      minutes: 3,
      tells: 'aftercare',
    },
  ]
  const minutes = steps.reduce((sum, step) => sum + step.minutes, 0)
  return { ...plan, partId, waits: [], notes: [], visit: { stage }, steps, minutes }
}

/** Minutes that one look at something open takes. */
const minutesEach = 5

function leftOpen(open: LaidBefore['open']): PlanStep {
  const each = open.map(({ problem, place }): Sentence => say`${faultWords(problem)}, ${name(place)}`)
  return {
    ...bare,
    id: 'visit-settle',
    phase: 'look',
    headline: say`Settle what was left open`,
    detail: say`${atStart(clauses(each))}. Tap each above, and judge it as it is now.`,
    why: say`Haze and small pockets go by themselves; what has not gone by now does not.`,
    picture: { film: 'laid', marks: [] },
    tools: ['lamp light'],
    minutes: minutesEach * open.length,
  }
}
