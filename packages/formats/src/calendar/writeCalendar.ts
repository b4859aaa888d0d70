import { createEvents, type DateArray, type EventAttributes } from 'ics'

/** Something to do at a moment. */
export interface CalendarEntry {
  /** The same entry keeps its id, so that a calendar replaces it. */
  readonly id: string
  readonly at: Date
  readonly minutes: number
  readonly title: string
  readonly says: string
}

/** From when revisions are counted; one a second, in what a calendar keeps of a number, until 2088. */
const firstRevision = Date.UTC(2020, 0, 1)

/**
 * Entries as a calendar file (iCalendar, RFC 5545), times in UTC, each with a reminder a quarter of an hour before. A file that was made later is the
 * later revision of the same entries.
 */
export function writeCalendar(entries: readonly CalendarEntry[], madeAt: Date): string {
  const { error, value } = createEvents(
    entries.map(
      ({ id, at, minutes, title, says }): EventAttributes => ({
        sequence: Math.floor((madeAt.getTime() - firstRevision) / 1000),
        uid: `${id}@true-lay`,
        productId: 'true-lay',
        start: parts(at),
        startInputType: 'utc',
        startOutputType: 'utc',
        duration: { minutes },
        title,
        description: says,
        created: parts(madeAt),
        alarms: [{ action: 'display', description: title, trigger: { minutes: 15, before: true } }],
      }),
    ),
  )
  if (error || typeof value !== 'string')
    throw new TypeError(`the calendar cannot be written: ${error?.message ?? 'no text'}`)
  return value
}

const parts = (at: Date): DateArray => [
  at.getUTCFullYear(),
  at.getUTCMonth() + 1,
  at.getUTCDate(),
  at.getUTCHours(),
  at.getUTCMinutes(),
]
