import type { PlanContext } from './planContext.ts'
import { planRules } from './rules/index.ts'
import { finishStep, type PlanRule } from './rules/rule.ts'
import { isFirstOfSet, isLastOfSet } from './setPlace.ts'
import type { PlanStep, StepWait } from './step.ts'

/**
 * The steps of a part: every rule whose condition holds, in the order of the work. Nothing is taken back from a step afterwards; what a
 * step must not come before is waited for after the one before it.
 */
export function stepsOf(context: PlanContext): PlanStep[] {
  const drafts = planRules
    .filter((rule) => isDoneHere(rule, context) && rule.when(context))
    .flatMap((rule) => rule.steps(context))
  const ids = new Set(drafts.map((d) => d.id))
  return drafts.map((draft, i) => {
    const { within, ...step } = inOneBottle(context, finishStep(draft))
    const wait = longer(draft.wait, waitedFor(drafts[i + 1]?.notBefore, draft.id, ids))
    const limits = within?.filter(({ since }) => ids.has(since)) ?? []
    return { ...step, ...(wait === undefined ? {} : { wait }), ...(limits.length === 0 ? {} : { within: limits }) }
  })
}

/** What a set shares is done with its first part, or with its last. */
const isDoneHere = ({ once }: PlanRule, { set }: PlanContext) =>
  once === undefined || (once === 'first' ? isFirstOfSet(set) : isLastOfSet(set))

/** Where one liquid floats the film and holds it, there is no second bottle to ask for. */
function inOneBottle({ schools }: PlanContext, step: PlanStep): PlanStep {
  if (schools.slip !== schools.tack) return step
  const liquids = [...new Set(step.liquids.map((liquid) => (liquid === 'tack' ? 'slip' : liquid)))]
  return step.uses === 'tack' ? { ...step, liquids, uses: 'slip' } : { ...step, liquids }
}

/** A wait before a step as the wait after the one before it; counted from there where the clock of its own does not run. */
function waitedFor(wait: StepWait | undefined, after: string, ids: ReadonlySet<string>): StepWait | undefined {
  if (wait?.since === undefined || (wait.since !== after && ids.has(wait.since))) return wait
  const { since: _, ...fromHere } = wait
  return fromHere
}

function longer(own: StepWait | undefined, next: StepWait | undefined): StepWait | undefined {
  if (own === undefined || next === undefined) return own ?? next
  return next.leastMinutes > own.leastMinutes ? next : own
}

/** How long the steps take, one after the other by one pair of hands, with waits that run from the same wetting running together. */
export function minutesOf(steps: readonly Pick<PlanStep, 'id' | 'minutes' | 'wait'>[]): number {
  const doneAt = new Map<string, number>()
  let now = 0
  for (const { id, minutes, wait } of steps) {
    now += minutes
    doneAt.set(id, now)
    if (wait !== undefined) now = Math.max(now, (doneAt.get(wait.since ?? id) ?? now) + wait.leastMinutes)
  }
  return now
}
