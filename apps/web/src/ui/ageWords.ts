import { days, figure, say, type Sentence } from '@truelay/core/say'

/** How long ago something was, as one says it. */
export function ageWords(at: string, now: Date): Sentence {
  const minutes = Math.round((now.getTime() - new Date(at).getTime()) / 60_000)
  if (minutes < 1) return say`just now`
  if (minutes < 90) return say`${figure(minutes)} min ago`
  const whole = Math.round(minutes / 60)
  return whole < 36 ? say`${figure(whole)} h ago` : say`${days(Math.round(whole / 24))} ago`
}
