import { say, type Sentence, verbatim } from '@truelay/core/say'
import { isLinkLocal, readAtMost } from '../devices/askDevice.ts'

/** What a plotter makes of a file. */
export type Plotted = { readonly cut: true } | { readonly cut: false; readonly says: Sentence }

/** It answers when it has taken the file over, not when the last piece is cut. */
const patienceMs = 15_000
const mostBytes = 200

const silent = { cut: false, says: say`The plotter does not answer. Is it on, and is its cable in?` } as const

/** Hands a cut file to the plotter; whatever goes wrong becomes a sentence, never an exception. */
export async function sendToPlotter(address: string, file: string): Promise<Plotted> {
  try {
    if (await isLinkLocal(address)) return silent
    const answer = await fetch(address, {
      method: 'POST',
      headers: { 'content-type': 'application/vnd.hp-hpgl' },
      body: file,
      redirect: 'error',
      signal: AbortSignal.timeout(patienceMs),
    })
    if (answer.ok) {
      await answer.body?.cancel()
      return { cut: true }
    }
    // A page of something else is no reason.
    const plain = answer.headers.get('content-type')?.startsWith('text/plain') === true
    const why = plain ? ((await readAtMost(answer, mostBytes)) ?? '').trim() : ''
    if (!plain) await answer.body?.cancel()
    return {
      cut: false,
      says: why === '' ? say`The plotter refused the cut.` : say`The plotter refused the cut: ${verbatim(why)}`,
    }
  } catch {
    return silent
  }
}
