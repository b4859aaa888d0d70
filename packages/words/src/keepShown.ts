import type { Sentence } from '@truelay/core/say'

type Words = (sentence: Sentence) => string

/** A document with every sentence in it as it stands on the screen beside its data: what is kept of a fit says both. */
export function keepShown<T>(value: T, words: Words): T {
  return withShown(value, words) as T
}

function withShown(value: unknown, words: Words): unknown {
  if (typeof value !== 'object' || value === null) return value
  if (Array.isArray(value)) return value.map((item) => withShown(item, words))
  if (isSentence(value)) return { ...value, shown: words(value) }
  return Object.fromEntries(Object.entries(value).map(([key, item]) => [key, withShown(item, words)]))
}

/** Whether a value is a sentence, told by its shape: what comes out of a document has no other mark. */
export const isSentence = (value: object): value is Sentence =>
  'text' in value && typeof value.text === 'string' && 'with' in value && Array.isArray(value.with)
