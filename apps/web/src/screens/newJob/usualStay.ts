import { openOn, usualHours, type WeekHours, whenOpen } from '@truelay/contract'
import { addDays, max, startOfDay, subHours } from 'date-fns'

/**
 * When a vehicle that is taken in now usually comes and must leave: it comes when the shop opens, today until it has
 * closed, else on the next day that it opens; it leaves an hour before the shop closes on the day after that is open.
 */
export function usualStay(now: Date, hours: WeekHours): { readonly arrivesAt: Date; readonly dueAt: Date } {
  const week = hours.some((day) => day !== null) ? hours : usualHours
  const arrivesAt = whenOpen(startOfDay(whenOpen(now, week)), week)
  const leaves = whenOpen(addDays(startOfDay(arrivesAt), 1), week)
  const closes = openOn(leaves, week)?.[1] ?? leaves
  return { arrivesAt, dueAt: max([leaves, subHours(closes, 1)]) }
}
