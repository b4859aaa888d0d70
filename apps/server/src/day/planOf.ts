import { type DayPlan, dayPlan, partId, personId } from '@truelay/contract'
import { say, type Sentence } from '@truelay/core/say'
import type { Gathered } from './gatherDay.ts'
import type { DayAsked, DayReckoned } from './reckonDay.ts'

/** The plan as it is kept: by the clock, and with what its tasks are work on. */
export function planOf(gathered: Gathered, { order, works, steps, promises, overdue, helps }: DayReckoned): DayPlan {
  const { from, leftOut, asked } = gathered
  const at = (minute: number) => new Date(from.getTime() + minute * 60_000).toISOString()
  const by = new Map(order.tasks.map((task) => [task.id, task]))
  const names = new Map(works.map((work) => [work.taskId, work.partId]))
  const called = (id: string) => {
    const part = names.get(id)
    return part === undefined ? id : part === null ? vehicleOf(id, gathered) : (gathered.names.get(part) ?? id)
  }
  const headline = (part: string | null, step: string | undefined) =>
    part === null
      ? null
      : step === undefined
        ? say`Look along every edge`
        : (steps[part]?.find(({ id }) => id === step)?.says ?? null)
  const unplanned = asked.jobs.flatMap(({ jobId, parts }) =>
    parts.flatMap(({ partId: part }) => (part in steps ? [] : [{ jobId, partId: part, why: 'cannot be planned' }])),
  )
  return dayPlan.parse({
    madeAt: from.toISOString(),
    works: works.flatMap(({ taskId, jobId, partId: part, stepIds }) => {
      const task = by.get(taskId)
      if (task === undefined) return []
      return [
        {
          id: taskId,
          jobId,
          partId: part === null ? null : partId.parse(part),
          stepIds,
          says: headline(part, stepIds[0]),
          people: task.people.map((id) => personId.parse(id)),
          startAt: at(task.startMinute),
          endAt: at(task.endMinute),
          because: renamed(task.because, called),
        },
      ]
    }),
    late: order.late.flatMap(({ id, minutes }) => {
      const work = works.find(({ taskId, partId: part }) => taskId === id && part === null)
      return work === undefined ? [] : [{ jobId: work.jobId, minutes }]
    }),
    promises: promises.map(({ jobId, readyMinute, chance, sureMinute }) => ({
      jobId,
      readyAt: at(readyMinute),
      chance,
      sureAt: at(sureMinute),
    })),
    overdue: overdue.map(({ jobId, partId: part, byMinutes }) => ({ jobId, partId: part, minutes: byMinutes })),
    ...(helps === null
      ? {}
      : { helps: { ...helps, says: renamed(helps.says, (id) => gathered.people.get(id) ?? id) } }),
    leftOut: [...leftOut, ...unplanned],
    endsAt: at(order.makespanMinutes),
    noSoonerThan: at(order.lowerBoundMinutes),
  })
}

/** The plan that stands, as the next one is held against it. */
export const beforeOf = (plan: DayPlan | null, from: Date): DayAsked['before'] =>
  (plan?.works ?? []).map(({ id, jobId, partId: part, stepIds, startAt, people }) => ({
    taskId: id,
    jobId,
    partId: part,
    stepIds,
    people,
    startMinute: (new Date(startAt).getTime() - from.getTime()) / 60_000,
  }))

const vehicleOf = (taskId: string, { vehicles }: Gathered) =>
  [...vehicles].find(([jobId]) => taskId.startsWith(`${jobId} `))?.[1] ?? taskId

/** The same sentence with what it names called otherwise: a plan names its tasks, people know parts. */
const renamed = (sentence: Sentence, called: (name: string) => string): Sentence => ({
  ...sentence,
  with: sentence.with.map((said) => (said.kind === 'name' ? { ...said, name: called(said.name) } : said)),
})
