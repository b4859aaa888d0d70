import { count, say, type Sentence } from '@truelay/core/say'
import type { z } from 'zod'

/** What came of asking a device once. */
export type Asked<T> =
  | { readonly state: 'answered'; readonly value: T }
  | { readonly state: 'silent' | 'nonsense'; readonly says: Sentence }

const patienceMs = 1500
const mostBytes = 200_000

/** Asks a device for its measurement; whatever goes wrong becomes a sentence, never an exception. */
export async function askDevice<T>(address: string, schema: z.ZodType<T>): Promise<Asked<T>> {
  let body: unknown
  try {
    const answer = await fetch(address, { signal: AbortSignal.timeout(patienceMs), redirect: 'error' })
    if (!answer.ok) return { state: 'silent', says: say`It answers with an error (${count(answer.status)}).` }
    const text = await answer.text()
    if (text.length > mostBytes) return { state: 'nonsense', says: say`It answers with far more than a measurement.` }
    body = JSON.parse(text)
  } catch (error) {
    if (error instanceof SyntaxError) return { state: 'nonsense', says: say`What it answers cannot be read.` }
    return { state: 'silent', says: say`It does not answer.` }
  }
  const parsed = schema.safeParse(body)
  return parsed.success
    ? { state: 'answered', value: parsed.data }
    : { state: 'nonsense', says: say`What it answers is no measurement.` }
}
