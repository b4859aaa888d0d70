import type { Sentence } from '@truelay/core/say'
import { verbatim } from '@truelay/core/say'

/** An object of a document that is older than its schema. */
export type Old = Readonly<Record<string, unknown>>

export const asOld = (value: unknown): Old =>
  typeof value === 'object' && value !== null && !Array.isArray(value) ? (value as Old) : {}

export const eachOld = (value: unknown, change: (item: Old) => unknown): unknown =>
  Array.isArray(value) ? value.map((item) => change(asOld(item))) : value

/** Words that were kept as a text: the same text, and that it stood so. What is a sentence already stays. */
export const asWritten = (value: unknown): unknown =>
  typeof value === 'string' ? ({ ...verbatim(value), shown: value } satisfies Sentence) : value

/** An object with some of its texts made into sentences; what it does not have stays away. */
export const withWords = (old: Old, ...keys: readonly string[]): Old => ({
  ...old,
  ...Object.fromEntries(keys.flatMap((key) => (key in old ? [[key, asWritten(old[key])]] : []))),
})
