import type { AnyFailure } from '@truelay/core/result'

/** What a hook that asks somebody knows: nothing yet, the answer, or why there is none. Whoever uses the answer has to look. */
export type Answer<T> =
  | { readonly phase: 'asked' }
  | { readonly phase: 'known'; readonly value: T }
  | { readonly phase: 'refused'; readonly failure: AnyFailure }

export const asked = { phase: 'asked' } as const
export const known = <T>(value: T): Answer<T> => ({ phase: 'known', value })
