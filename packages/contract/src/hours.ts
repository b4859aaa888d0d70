import { say, type Sentence } from '@truelay/core/say'
import { z } from 'zod'
import { asIssue } from './failure.ts'

const timeOfDay = z.string().regex(/^([01]\d|2[0-3]):[0-5]\d$/)

/** From when to when on one day, by the clock of the shop; null = closed. */
const span = { from: timeOfDay, to: timeOfDay }
const dayHours = z
  .strictObject({
    ...span,
    /** When everybody rests. */
    pause: z.strictObject(span).optional(),
  })
  .nullable()

/** Monday first. */
const onDay = [
  say`On Monday`,
  say`On Tuesday`,
  say`On Wednesday`,
  say`On Thursday`,
  say`On Friday`,
  say`On Saturday`,
  say`On Sunday`,
] as const

/** Seven days, Monday first. */
export const weekHours = z
  .array(dayHours)
  .length(7)
  .superRefine((week, context) => {
    for (const [day, hours] of week.entries()) {
      const problem = hours === null ? null : hoursProblem(hours, onDay[day] ?? say`On one day`)
      if (problem !== null) context.addIssue({ ...asIssue(problem), path: [day] })
    }
  })

type DayHours = NonNullable<z.infer<typeof dayHours>>

function hoursProblem({ from, to, pause }: DayHours, on: Sentence): Sentence | null {
  if (from >= to) return say`${on} the shop must close after it opens.`
  if (pause === undefined) return null
  if (pause.from >= pause.to) return say`${on} the break must end after it begins.`
  return pause.from < from || pause.to > to ? say`${on} the break must lie within the opening hours.` : null
}
export type WeekHours = z.infer<typeof weekHours>

/** As most shops work: Monday to Friday. */
export const usualHours: WeekHours = Array.from({ length: 7 }, (_, day) =>
  day < 5 ? { from: '08:00', to: '17:00' } : null,
)

/** From when to when the shop is open on the day of a moment, by the clock of this machine; null where it stays closed. */
export function openOn(at: Date, hours: WeekHours): readonly [opens: Date, closes: Date] | null {
  const open = hours[weekday(at)]
  return open === null || open === undefined ? null : [moment(at, open.from), moment(at, open.to)]
}

/**
 * The moment itself while the shop is open, else the next time that it opens, by the clock of this machine. A shop that never opens leaves it as it
 * is.
 */
export function whenOpen(at: Date, hours: WeekHours): Date {
  for (let later = 0; later <= 7; later++) {
    const day = new Date(at.getFullYear(), at.getMonth(), at.getDate() + later)
    const open = openOn(day, hours)
    if (open === null) continue
    const [from, to] = open
    if (later === 0 && at > to) continue
    return at > from ? at : from
  }
  return at
}

/** When the shop is closed or rests, or somebody is away, between two moments, by the clock of this machine. Hours without any open time close nothing. */
export function closedTimes(hours: WeekHours, from: Date, until: Date): (readonly [from: Date, to: Date])[] {
  if (hours.every((day) => day === null)) return []
  const closed: (readonly [Date, Date])[] = []
  let since = from
  for (let later = 0; since < until; later++) {
    const day = new Date(from.getFullYear(), from.getMonth(), from.getDate() + later)
    if (day > until) break
    const open = hours[weekday(day)]
    if (open === null || open === undefined) continue
    const [opens, closes] = [moment(day, open.from), moment(day, open.to)]
    if (closes <= since) continue
    if (opens > since) closed.push([since, opens < until ? opens : until])
    const pause =
      open.pause === undefined ? null : ([moment(day, open.pause.from), moment(day, open.pause.to)] as const)
    if (pause !== null && pause[1] > from && pause[0] < until)
      closed.push([pause[0] < from ? from : pause[0], pause[1] < until ? pause[1] : until])
    since = closes
  }
  return since < until ? [...closed, [since, until]] : closed
}

/** Which day of the week, Monday 0. */
const weekday = (day: Date) => (day.getDay() + 6) % 7

function moment(day: Date, time: string): Date {
  const [hours = 0, minutes = 0] = time.split(':').map(Number)
  return new Date(day.getFullYear(), day.getMonth(), day.getDate(), hours, minutes)
}
