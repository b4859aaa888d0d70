import { comeBackWords, faultOutcomeWords } from '@truelay/core/judge'
import { clock, name, say, type Sentence } from '@truelay/core/say'
import type { z } from 'zod'
import type { problemSeenLine } from './problemSeen.ts'
import type { problemSettledLine } from './problemSettled.ts'

type SeenLine = z.infer<typeof problemSeenLine.schema>
type SettledLine = z.infer<typeof problemSettledLine.schema>

/** What became of something that was wrong: by the last word on it, or when it is come back to. */
export function becameOf(seen: SeenLine, settled: readonly SettledLine[]): Sentence {
  const last = settled.findLast(({ problemId }) => problemId === seen.id)
  if (last !== undefined) return say`${faultOutcomeWords(last.outcome)}, ${name(last.by)}, ${clock(last.at)}`
  if (!seen.comeBack) return say`seen`
  return seen.when === undefined ? say`on the come-back list` : say`on the come-back list, ${comeBackWords[seen.when]}`
}
