import { wireFailure } from '@truelay/contract'

export interface ShownFailure {
  readonly sentence: string
  readonly fix: string
}

/** A failed request as a sentence and what to do. */
export function failureOf(error: unknown): ShownFailure {
  const body = wireFailure.safeParse((error as { data?: unknown } | undefined)?.data)
  if (body.success) return { sentence: body.data.sentence, fix: body.data.fix }
  const status = (error as { status?: unknown } | undefined)?.status
  if (status === 'FETCH_ERROR')
    return {
      sentence: 'The shop server does not answer.',
      fix: 'Check that it is running; this page goes on by itself when it is back.',
    }
  return {
    sentence: 'The server answered something this app does not understand.',
    fix: 'Reload the page; server and app may have different versions.',
  }
}
