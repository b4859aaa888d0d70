import type { SentToDevice } from '@truelay/contract'
import { nothing, say, type Sentence, verbatim } from '@truelay/core/say'
import { isLinkLocal, readAtMost } from './askDevice.ts'

/** It answers when it has taken the file over, not when it is through with it. */
const patienceMs = 15_000
const mostBytes = 200

interface ToSend {
  readonly type: string
  readonly body: string | Uint8Array<ArrayBuffer>
  /** What is said where it does not answer, and where it refuses. */
  readonly silent: Sentence
  readonly refused: Sentence
}

/** Hands a file to a device; whatever goes wrong becomes a sentence, never an exception. */
export async function sendToDevice(address: string, { type, body, silent, refused }: ToSend): Promise<SentToDevice> {
  const unanswered = { taken: false, says: silent }
  try {
    if (await isLinkLocal(address)) return unanswered
    const answer = await fetch(address, {
      method: 'POST',
      headers: { 'content-type': type },
      body,
      redirect: 'error',
      signal: AbortSignal.timeout(patienceMs),
    })
    if (answer.ok) {
      await answer.body?.cancel()
      return { taken: true, says: nothing }
    }
    // A page of something else is no reason.
    const plain = answer.headers.get('content-type')?.startsWith('text/plain') === true
    const why = plain ? ((await readAtMost(answer, mostBytes)) ?? '').trim() : ''
    if (!plain) await answer.body?.cancel()
    return { taken: false, says: why === '' ? say`${refused}.` : say`${refused}: ${verbatim(why)}` }
  } catch {
    return unanswered
  }
}
