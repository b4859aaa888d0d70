import { say } from '@truelay/core/say'
import { z } from 'zod'
import { asIssue } from './failure.ts'

const timeOfDay = z.string().regex(/^([01]\d|2[0-3]):[0-5]\d$/)

/** From when to when on one day, by the clock of the shop; null = closed. */
const span = { from: timeOfDay, to: timeOfDay }
const ends = ({ from, to }: { readonly from: string; readonly to: string }) => from < to
const dayHours = z
  .strictObject({
    ...span,
    /** When everybody rests. */
    pause: z.strictObject(span).refine(ends, asIssue(say`must end after it begins`)).optional(),
  })
  .refine(ends, asIssue(say`must end after it begins`))
  .refine(
    ({ from, to, pause }) => pause === undefined || (from <= pause.from && pause.to <= to),
    asIssue(say`the break must lie within the hours`),
  )
  .nullable()

/** Seven days, Monday first. */
export const weekHours = z.array(dayHours).length(7)
export type WeekHours = z.infer<typeof weekHours>

/** As most shops work: Monday to Friday. */
export const usualHours: WeekHours = Array.from({ length: 7 }, (_, day) =>
  day < 5 ? { from: '08:00', to: '17:00' } : null,
)

/**
 * The moment itself while the shop is open, else the next time that it opens, by the clock of this machine. A shop that never opens leaves it as it
 * is.
 */
export function whenOpen(at: Date, hours: WeekHours): Date {
  for (let later = 0; later <= 7; later++) {
    const day = new Date(at.getFullYear(), at.getMonth(), at.getDate() + later)
    const open = hours[(day.getDay() + 6) % 7]
    if (open === null || open === undefined) continue
    const [from, to] = [moment(day, open.from), moment(day, open.to)]
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
    const open = hours[(day.getDay() + 6) % 7]
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

function moment(day: Date, time: string): Date {
  const [hours = 0, minutes = 0] = time.split(':').map(Number)
  return new Date(day.getFullYear(), day.getMonth(), day.getDate(), hours, minutes)
}
