import type { DayChanges, DayPlan } from './dayPlan.ts'

/** A smaller shift of a vehicle is not worth a word, minutes. */
const worthSaying = 10

/** What has become otherwise from one plan to a later one; of hands only what is worked today. */
export function dayChangesOf(before: DayPlan, now: DayPlan): DayChanges {
  const leaves = ({ works }: DayPlan, jobId: string) =>
    works.find(({ id, partId }) => partId === null && id === `${jobId} leaves`)?.startAt
  const jobs = [...new Set(now.works.map(({ jobId }) => jobId))].flatMap((jobId) => {
    const [was, is] = [leaves(before, jobId), leaves(now, jobId)]
    if (was === undefined || is === undefined) return []
    const laterMinutes = Math.round((new Date(is).getTime() - new Date(was).getTime()) / 60_000)
    return Math.abs(laterMinutes) < worthSaying ? [] : [{ jobId, laterMinutes }]
  })
  const today = new Date(now.madeAt).toDateString()
  const parts = [
    ...new Set(
      now.works.flatMap(({ partId, startAt }) =>
        partId === null || new Date(startAt).toDateString() !== today ? [] : [partId],
      ),
    ),
  ]
  const hands = parts.flatMap((partId) => {
    const was = leadOf(before, partId)
    const is = leadOf(now, partId)
    return was === null || is === null || was === is ? [] : [{ partId, people: [is] }]
  })
  return { since: before.madeAt, jobs, hands }
}

/** Who does most of a part. */
function leadOf({ works }: DayPlan, partId: string) {
  const minutes = new Map<DayPlan['works'][number]['people'][number], number>()
  for (const work of works) {
    if (work.partId !== partId) continue
    const lasts = new Date(work.endAt).getTime() - new Date(work.startAt).getTime()
    for (const person of work.people) minutes.set(person, (minutes.get(person) ?? 0) + lasts)
  }
  return [...minutes].sort((a, b) => b[1] - a[1])[0]?.[0] ?? null
}
