import { wireFailure } from '@truelay/contract'
import { say, type Sentence } from '@truelay/core/say'

export interface ShownFailure {
  /** As the server calls it; null where it did not answer. */
  readonly code?: string
  readonly sentence: Sentence
  readonly fix: Sentence
}

/** A failed request as a sentence and what to do. */
export function failureOf(error: unknown): ShownFailure {
  const body = wireFailure.safeParse((error as { data?: unknown } | undefined)?.data)
  if (body.success) return body.data
  const status = (error as { status?: unknown } | undefined)?.status
  if (status === 'FETCH_ERROR')
    return {
      sentence: say`The shop server does not answer.`,
      fix: say`Check that it is running; this page goes on by itself when it is back.`,
    }
  return {
    sentence: say`The server answered something this app does not understand.`,
    fix: say`Reload the page; server and app may have different versions.`,
  }
}
