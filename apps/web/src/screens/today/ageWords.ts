/** How long ago something was, as one says it. */
export function ageWords(at: string, now: Date): string {
  const minutes = Math.round((now.getTime() - new Date(at).getTime()) / 60_000)
  if (minutes < 1) return 'just now'
  if (minutes < 90) return `${minutes} min ago`
  const hours = Math.round(minutes / 60)
  return hours < 36 ? `${hours} h ago` : `${Math.round(hours / 24)} days ago`
}
