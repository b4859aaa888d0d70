import { canBeLeft, type ComeBackTime, type FaultKind, type FaultStage, spoils } from '@truelay/core/judge'
import type { PlanStep } from '@truelay/core/plan'
import { pieceSince } from './anotherPiece.ts'
import { unsettledSpoils } from './clocks.ts'
import { type FitEventOf, standing } from './fitEvents.ts'
import type { Begun } from './fitState.ts'

export type Problem = FitEventOf<'problemSeen'>

/** In these phases a knife goes round the part; before, it only cuts the piece to size. */
const cutsPart = ({ phase, cutMm }: PlanStep): boolean => (cutMm ?? 0) > 0 && ['edges', 'heat', 'look'].includes(phase)
const heatsThrough = ({ heat }: PlanStep): boolean => heat === 'post-heat' || heat === 'seal'

/** How far the work on the part has come, by the steps that stand as done. */
export function faultStageOf({ plan, done }: Pick<Begun, 'plan' | 'done'>): FaultStage {
  if (plan.visit !== undefined) return plan.visit.stage
  const steps = plan.steps.slice(0, done.length)
  if (steps.some(cutsPart)) return 'cut'
  if (steps.some(heatsThrough)) return 'heated'
  const grabbed = steps.some(({ wait, phase }) => wait?.kind === 'initialGrab' || phase === 'edges')
  if (grabbed) return 'bonded'
  if (plan.film.laid === 'dry' || steps.some(({ phase }) => phase === 'lay')) return 'tacked'
  return 'wet'
}

/** What was wrong and has not been settled, the oldest first. What was noted before one said when stands there for the record only. */
export function openProblems(state: Begun): Problem[] {
  const settled = new Set(standing(state, 'problemSettled').map(({ problemId }) => problemId))
  // Of a spoilt piece one says what becomes of it, and that settles it.
  const spoilt = new Set(unsettledSpoils(state).map(({ id }) => id))
  const since = pieceSince(state)
  return standing(state, 'problemSeen').filter(
    ({ id, when, problem, at }) =>
      when !== undefined &&
      !settled.has(id) &&
      (!spoils(problem) || spoilt.has(id)) &&
      (since === null || at > since || staysOnPart(problem)),
  )
}

/** What is the part's own goes with no piece. */
const staysOnPart = (problem: FaultKind): boolean => problem === 'knife mark' || problem === 'lens crazed'

/** Whether the time to come back to it has come: at that step, or already past it. */
export function isDue(when: ComeBackTime, { plan, done }: Pick<Begun, 'plan' | 'done'>): boolean {
  const here = done.length
  const first = (is: (step: PlanStep) => boolean) => {
    const at = plan.steps.findIndex(is)
    return at < 0 ? plan.steps.length - 1 : at
  }
  switch (when) {
    case 'now':
      return true
    case 'before the cut':
      return here >= first(cutsPart)
    case 'at post-heat':
      return here >= first(heatsThrough)
    case 'at hand-over':
      return here >= plan.steps.length - 1
    case 'at the edge look':
      return false
  }
}

/** What has to be settled before the part is done: nobody hands film over that lifts or hangs on a thread. */
export const stopsPart = ({ problem }: Problem): boolean => !canBeLeft(problem) && !spoils(problem)
