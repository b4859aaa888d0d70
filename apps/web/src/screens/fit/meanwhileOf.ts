import type { DayPlan, DayWork } from '@truelay/contract'

interface Waiting {
  readonly partId: string
  readonly person: string
  readonly now: Date
  /** When the wait is over. */
  readonly until: Date
}

export interface MeanwhileWork {
  /** What these hands do at another part before the wait is over. */
  readonly work: DayWork | null
  /** Who comes to the next step here, where it needs more than one. */
  readonly helpers: readonly string[]
}

/** What a plan of the day says about a wait: what to do meanwhile, and who helps after it. */
export function meanwhileOf({ works }: DayPlan, { partId, person, now, until }: Waiting): MeanwhileWork {
  const byStart = [...works].sort((a, b) => a.startAt.localeCompare(b.startAt))
  const own = (work: DayWork) => work.people.some((id) => id === person)
  const ahead = byStart.filter(({ endAt, people }) => people.length > 0 && new Date(endAt) > now)
  const next = ahead.find((work) => work.partId === partId)
  return {
    work:
      ahead.find(
        (work) => work.partId !== partId && work.partId !== null && own(work) && new Date(work.startAt) < until,
      ) ?? null,
    helpers: next === undefined || next.people.length < 2 ? [] : next.people.filter((id) => id !== person),
  }
}
