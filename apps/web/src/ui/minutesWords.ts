import { days, figure, say, type Sentence } from '@truelay/core/say'
import { format, isSameDay } from 'date-fns'

/** A length of time as one says it: "24 min", "3.5 h", "4 days". */
export function minutesWords(minutes: number): Sentence {
  if (minutes < 100) return say`${figure(Math.round(minutes))} min`
  const inHours = minutes / 60
  if (inHours < 47.5) return say`${figure(inHours, inHours < 10 ? 1 : 0)} h`
  const inDays = inHours / 24
  return say`${days(inDays < 10 ? Number(inDays.toFixed(1)) : Math.round(inDays))}`
}

/** A moment as one says it: "14:20", "Wed 3 May, 09:00". */
export const whenWords = (at: Date, now: Date) =>
  `${isSameDay(at, now) ? '' : `${format(at, 'EEE d MMM')}, `}${format(at, 'HH:mm')}`
