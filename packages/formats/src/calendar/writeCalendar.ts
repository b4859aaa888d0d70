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

/** Entries as a calendar file (iCalendar, RFC 5545), times in UTC, each with a reminder a quarter of an hour before. */
export function writeCalendar(entries: readonly CalendarEntry[], madeAt: Date): string {
  const { error, value } = createEvents(
    entries.map(
      ({ id, at, minutes, title, says }): EventAttributes => ({
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
