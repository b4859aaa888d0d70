import { lookup } from 'node:dns/promises'
import { BlockList } from 'node:net'
import { count, say, type Sentence } from '@truelay/core/say'
import type { z } from 'zod'

/** What came of asking a device once. */
export type Asked<T> =
  | { readonly state: 'answered'; readonly value: T }
  | { readonly state: 'silent' | 'nonsense'; readonly says: Sentence }

const patienceMs = 1500
const mostBytes = 200_000

/** Addresses at which machines tell about themselves; no device of a shop is there. */
const linkLocal = new BlockList()
linkLocal.addSubnet('169.254.0.0', 16)
linkLocal.addSubnet('fe80::', 10, 'ipv6')

/** Nobody learns from the answer whether something is there and refuses, or is silent. */
const silent = { state: 'silent', says: say`It does not answer.` } as const

/** Asks a device for its measurement; whatever goes wrong becomes a sentence, never an exception. */
export async function askDevice<T>(address: string, schema: z.ZodType<T>): Promise<Asked<T>> {
  const patience = new AbortController()
  const timer = setTimeout(() => patience.abort(), patienceMs)
  try {
    if (await isLinkLocal(address)) return silent
    const answer = await fetch(address, { signal: patience.signal, redirect: 'error' })
    if (!answer.ok) {
      await answer.body?.cancel()
      return { state: 'silent', says: say`It answers with an error (${count(answer.status)}).` }
    }
    const text = await readAtMost(answer, mostBytes)
    if (text === null) return { state: 'nonsense', says: say`It answers with far more than a measurement.` }
    const parsed = schema.safeParse(JSON.parse(text))
    return parsed.success
      ? { state: 'answered', value: parsed.data }
      : { state: 'nonsense', says: say`What it answers is no measurement.` }
  } catch (error) {
    return error instanceof SyntaxError ? { state: 'nonsense', says: say`What it answers cannot be read.` } : silent
  } finally {
    clearTimeout(timer)
    patience.abort()
  }
}

/** Whether an address is one of those at which no device of a shop is. */
export async function isLinkLocal(address: string): Promise<boolean> {
  const host = new URL(address).hostname.replace(/^\[|\]$/g, '')
  const all = await lookup(host, { all: true })
  return all.some(({ address: ip, family }) => linkLocal.check(ip, family === 6 ? 'ipv6' : 'ipv4'))
}

/** The text of an answer; null, and the rest is turned away, as soon as it is longer than that. */
export async function readAtMost(answer: Response, bytes: number): Promise<string | null> {
  if (answer.body === null) return ''
  const decoder = new TextDecoder()
  let text = ''
  let left = bytes
  for await (const chunk of answer.body) {
    left -= chunk.byteLength
    // Leaving the loop cancels the body.
    if (left < 0) return null
    text += decoder.decode(chunk, { stream: true })
  }
  return text + decoder.decode()
}
