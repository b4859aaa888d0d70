/** A short time as one counts it: "at once", "12 s", "4 min". */
export function secondsWords(seconds: number | null): string {
  if (seconds === null) return 'does not'
  if (seconds < 2) return 'at once'
  if (seconds < 100) return `${Math.round(seconds)} s`
  return `${Math.round(seconds / 60)} min`
}
