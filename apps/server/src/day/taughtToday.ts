import { type DayTaught, jobId, workedSteps } from '@truelay/contract'
import type { Database } from '../database/openDatabase.ts'
import { readStandingFit } from '../fit/keptState.ts'
import { readOpenJobs, readPartsOf } from '../jobs/queries.ts'

/** What the steps of today took against their plans, by kind of step; of the jobs that are open. */
export async function taughtToday(database: Database, now: Date): Promise<DayTaught> {
  const morning = new Date(now.getFullYear(), now.getMonth(), now.getDate())
  const jobs = await readOpenJobs(database)
  const partsOf = await readPartsOf(
    database,
    jobs.map(({ id }) => jobId.parse(id)),
  )
  const sums = new Map<string, { steps: number; plannedMinutes: number; workedMinutes: number }>()
  for (const part of jobs.flatMap(({ id }) => partsOf(id))) {
    const { state } = await readStandingFit(database, part.id)
    if (state.phase === 'not begun') continue
    const today = new Set(state.done.filter(({ at }) => new Date(at) >= morning).map(({ stepId }) => stepId))
    const phases = new Map(state.plan.steps.map(({ id, phase }) => [id, phase]))
    for (const { stepId, plannedMinutes, workedMinutes } of workedSteps(state)) {
      const phase = phases.get(stepId)
      if (!today.has(stepId) || workedMinutes === null || phase === undefined) continue
      const sum = sums.get(phase) ?? { steps: 0, plannedMinutes: 0, workedMinutes: 0 }
      sum.steps++
      sum.plannedMinutes += plannedMinutes
      sum.workedMinutes += workedMinutes
      sums.set(phase, sum)
    }
  }
  return { phases: [...sums].map(([phase, sum]) => ({ phase, ...sum })) }
}
