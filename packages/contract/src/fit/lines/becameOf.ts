import { comeBackWords, faultOutcomeWords, pieceSourceWords, spoilOutcomeWords, spoils } from '@truelay/core/judge'
import { clock, name, say, type Sentence } from '@truelay/core/say'
import type { z } from 'zod'
import type { problemSeenLine } from './problemSeen.ts'
import type { problemSettledLine } from './problemSettled.ts'
import type { spoilSettledLine } from './spoilSettled.ts'

type SeenLine = z.infer<typeof problemSeenLine.schema>
type SettledLine = z.infer<typeof problemSettledLine.schema>
type SpoilLine = z.infer<typeof spoilSettledLine.schema>

interface Settlings {
  readonly problemSettled: readonly SettledLine[]
  readonly spoilSettled: readonly SpoilLine[]
}

/** What becomes of a spoilt piece, and from where another comes. */
export const spoilWords = ({ outcome, from }: Pick<SpoilLine, 'outcome' | 'from'>): Sentence =>
  from === undefined ? spoilOutcomeWords(outcome) : pieceSourceWords(from)

/** What became of something that was wrong: by the last word on it, or when it is come back to. */
export function becameOf(seen: SeenLine, { problemSettled, spoilSettled }: Settlings): Sentence {
  const last = problemSettled.findLast(({ problemId }) => problemId === seen.id)
  if (last !== undefined) return say`${faultOutcomeWords(last.outcome)}, ${name(last.by)}, ${clock(last.at)}`
  const after = spoilSettled.find(({ at, from }) => at >= seen.at && (spoils(seen.problem) || from !== undefined))
  if (after !== undefined)
    return spoils(seen.problem)
      ? say`${spoilWords(after)}, ${name(after.by)}, ${clock(after.at)}`
      : say`gone with the piece that was taken off at ${clock(after.at)}`
  if (!seen.comeBack) return say`seen`
  return seen.when === undefined ? say`on the come-back list` : say`on the come-back list, ${comeBackWords[seen.when]}`
}

/** How many steps of its cure were gone through; null where nobody went through them one by one. */
export function curedBy(seen: SeenLine, { problemSettled }: Settlings): SettledLine['cure'] | null {
  return problemSettled.findLast(({ problemId }) => problemId === seen.id)?.cure ?? null
}
