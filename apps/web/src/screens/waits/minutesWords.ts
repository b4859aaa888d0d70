import { format, isSameDay } from 'date-fns'

/** A length of time as one says it: "24 min", "3.5 h", "4 days". */
export function minutesWords(minutes: number): string {
  if (minutes < 100) return `${Math.round(minutes)} min`
  const hours = minutes / 60
  if (hours < 10) return `${hours.toFixed(1)} h`
  if (hours < 47.5) return `${Math.round(hours)} h`
  const days = hours / 24
  return `${days < 10 ? days.toFixed(1).replace(/\.0$/, '') : Math.round(days)} days`
}

/** A moment as one says it: "14:20", "Wed 3 May, 09:00". */
export const whenWords = (at: Date, now: Date) =>
  `${isSameDay(at, now) ? '' : `${format(at, 'EEE d MMM')}, `}${format(at, 'HH:mm')}`
