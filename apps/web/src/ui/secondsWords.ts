import { figure, say, type Sentence } from '@truelay/core/say'

/** A short time as one counts it: "at once", "12 s", "4 min". */
export function secondsWords(seconds: number | null): Sentence {
  if (seconds === null) return say`does not`
  if (seconds < 2) return say`at once`
  if (seconds < 100) return say`${figure(Math.round(seconds))} s`
  return say`${figure(Math.round(seconds / 60))} min`
}
