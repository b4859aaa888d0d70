import { english, isSentence } from '@truelay/words'

/** The same document with every sentence in it as English, metric words. */
export function inEnglish(value: unknown): unknown {
  if (typeof value !== 'object' || value === null || ArrayBuffer.isView(value)) return value
  if (Array.isArray(value)) return value.map(inEnglish)
  if (isSentence(value)) return english(value)
  return Object.fromEntries(Object.entries(value).map(([key, item]) => [key, inEnglish(item)]))
}
