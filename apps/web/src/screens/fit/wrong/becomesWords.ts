import { comeBackWords, faultOutcomeWords, pieceSourceWords, spoilOutcomeWords } from '@truelay/core/judge'
import { say, type Sentence } from '@truelay/core/say'
import type { Becomes } from './becomes.ts'

/** What was said of it, in a few words. */
export function becomesWords(becomes: Becomes): Sentence {
  if ('later' in becomes) return say`come back to ${comeBackWords[becomes.later]}`
  if ('settled' in becomes) return faultOutcomeWords(becomes.settled)
  if ('from' in becomes) return pieceSourceWords(becomes.from)
  return spoilOutcomeWords(becomes.outcome)
}
