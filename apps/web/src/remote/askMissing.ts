import { missingEvents } from '@truelay/contract'

const mostAtOnce = 500

/** Which of some events the server does not know; null where it does not answer. */
export async function askMissing(ids: readonly string[]): Promise<ReadonlySet<string> | null> {
  const missing = new Set<string>()
  for (let from = 0; from < ids.length; from += mostAtOnce) {
    const body = JSON.stringify({ ids: ids.slice(from, from + mostAtOnce) })
    const headers = { 'content-type': 'application/json' }
    const answer = await fetch('/api/fits/missing', { method: 'POST', headers, body }).catch(() => null)
    const read = missingEvents.safeParse(await answer?.json().catch(() => null))
    if (!read.success) return null
    for (const id of read.data.ids) missing.add(id)
  }
  return missing
}
