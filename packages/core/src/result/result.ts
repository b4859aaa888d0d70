import type { AnyFailure } from './failures.ts'

/** What a computation gives back: its value, or a failure that an installer can act on. */
export type Result<T, F = AnyFailure> =
  | { readonly ok: true; readonly value: T }
  | { readonly ok: false; readonly failure: F }

export const done = <T>(value: T): Result<T, never> => ({ ok: true, value })

export const refused = <F = AnyFailure>(failure: F): Result<never, F> => ({ ok: false, failure })

/** The value of a result that cannot be a failure: for programs that have made their input themselves. Throws with code and facts. */
export function required<T>(result: Result<T, { readonly code: string; readonly facts: unknown }>): T {
  if (result.ok) return result.value
  throw new Error(`${result.failure.code} ${JSON.stringify(result.failure.facts)}`)
}
