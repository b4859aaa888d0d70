import { say, type Sentence, verbatim } from '@truelay/core/say'

/** What a plotter makes of a file. */
export type Plotted = { readonly cut: true } | { readonly cut: false; readonly says: Sentence }

/** It answers when it has taken the file over, not when the last piece is cut. */
const patienceMs = 15_000
const mostLetters = 200

/** Hands a cut file to the plotter; whatever goes wrong becomes a sentence, never an exception. */
export async function sendToPlotter(address: string, file: string): Promise<Plotted> {
  try {
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
    const why = (await answer.text()).trim().slice(0, mostLetters)
    return {
      cut: false,
      says: why === '' ? say`The plotter refused the cut.` : say`The plotter refused the cut: ${verbatim(why)}`,
    }
  } catch {
    return { cut: false, says: say`The plotter does not answer. Is it on, and is its cable in?` }
  }
}
