import { againFrom } from '@truelay/contract'
import type { PieceSource } from '@truelay/core/judge'
import type { Fitting } from '../fitting.ts'
import type { NewFitEvent } from '../useFit.ts'
import type { SpoiltBecomes } from './SpoiltBecomes.tsx'

/** What becomes of a spoilt piece, as it is kept. */
export const spoiltEvents = (state: Fitting, stepId: string, becomes: SpoiltBecomes): NewFitEvent[] =>
  'from' in becomes
    ? anotherPieceEvents(state, becomes.from)
    : [{ kind: 'spoilSettled', stepId, outcome: becomes.outcome }]

/** Another piece is laid: the fit goes back to where a piece is taken in hand, and it is noted where this one comes from. */
function anotherPieceEvents(state: Fitting, from: PieceSource): NewFitEvent[] {
  const { plan, done } = state
  const again = Math.min(againFrom(plan), done.length)
  const stepId = plan.steps[again]?.id
  if (stepId === undefined) return []
  const reopened = done.slice(again).reverse()
  return [
    ...reopened.map((step): NewFitEvent => ({ kind: 'stepReopened', stepId: step.stepId })),
    { kind: 'spoilSettled', stepId, outcome: 'laid again', from },
  ]
}
