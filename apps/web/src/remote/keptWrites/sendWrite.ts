import { wireFailure, writeIdHeader } from '@truelay/contract'
import { wholeFailure } from '@truelay/core/result'
import { english } from '@truelay/words'
import type { KeptWrite } from './writeStore.ts'

/** What came of sending: done, not taken and why, or to be tried again later. */
export type WriteSent =
  | { readonly kind: 'done' }
  | { readonly kind: 'refused'; readonly says: string }
  | { readonly kind: 'later' }

/** Nobody is signed in, too much at once, or no room there: the same is taken later. */
const passing = new Set([401, 408, 425, 429])

/** Sends something kept, under the id that it has had from the start. */
export async function sendWrite({ id, method, url, body }: KeptWrite): Promise<WriteSent> {
  const photo = body instanceof Blob
  const answer = await fetch(`/api/${url}`, {
    method,
    headers: { [writeIdHeader]: id, 'content-type': photo ? 'image/jpeg' : 'application/json' },
    ...(body === undefined ? {} : { body: photo ? body : JSON.stringify(body) }),
  }).catch(() => null)
  if (answer === null || answer.status >= 500 || passing.has(answer.status)) return { kind: 'later' }
  if (answer.ok) return { kind: 'done' }
  const failure = wireFailure.safeParse(await answer.json().catch(() => null))
  return {
    kind: 'refused',
    says: failure.success ? english(wholeFailure(failure.data)) : `${answer.status} ${answer.statusText}`,
  }
}
