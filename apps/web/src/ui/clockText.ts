import { format, isThisYear } from 'date-fns'

/** Minutes and seconds, or hours from one hour on: "3:40", "1:05:20". */
export function countText(ms: number): string {
  const seconds = Math.max(0, Math.round(ms / 1000))
  const h = Math.floor(seconds / 3600)
  const m = Math.floor((seconds % 3600) / 60)
  const s = String(seconds % 60).padStart(2, '0')
  return h > 0 ? `${h}:${String(m).padStart(2, '0')}:${s}` : `${m}:${s}`
}

export const clockText = (moment: Date | string) => format(new Date(moment), 'HH:mm')
/** A day of another year says which. */
export const dayText = (moment: Date | string) =>
  format(new Date(moment), isThisYear(new Date(moment)) ? 'EEEE d MMMM' : 'EEEE d MMMM yyyy')
/** With its year, short: "Thu 26 Nov 2026". */
export const shortDayText = (moment: Date | string) => format(new Date(moment), 'EEE d MMM yyyy')
