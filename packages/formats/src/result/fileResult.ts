import type { Sentence } from '@truelay/core/say'

/** Why a file cannot be used: a code for programs, a sentence for people, and what to do. */
export interface FileFailure {
  readonly code: string
  readonly sentence: Sentence
  readonly fix: Sentence
}

export type FileResult<T> =
  | { readonly ok: true; readonly value: T }
  | { readonly ok: false; readonly failure: FileFailure }

export const read = <T>(value: T): FileResult<T> => ({ ok: true, value })
export const unreadable = (code: string, sentence: Sentence, fix: Sentence): FileResult<never> => ({
  ok: false,
  failure: { code, sentence, fix },
})
