import type { Practice } from '../practice/index.ts'
import { done, outOfRange, type Result, refused } from '../result/index.ts'
import { bondAfter } from './bond.ts'
import { type Climate, climateProblem } from './climate.ts'
import { deficitKpa } from './vapour.ts'
import { waitFactor } from './waitFactor.ts'
import { type WaitKind, waitOf } from './waits.ts'
import { percent, say, type Sentence } from '../say/index.ts'

/** A wait in the air of the day. */
export interface ClimateWait {
  readonly kind: WaitKind
  readonly label: Sentence
  readonly usualMinutes: number
  readonly minutes: number
  /** The air's share of the difference; the shop's own experience is in `learned`. */
  readonly factor: number
  readonly learned: number
  readonly vapourPressureDeficitKpa: number
  /** Share of the final bond when the wait is over. */
  readonly bondFraction: number
}

export interface WaitQuestion extends Climate {
  readonly kind: WaitKind
  /** In the liquid that dries there. */
  readonly alcoholPercent?: number | undefined
  /** What the shop's own answers make of it; 1 while there are none. */
  readonly learned?: number | undefined
}

/**
 * How long a wait takes today. Can be refused: `WAIT_OUT_OF_RANGE`.
 */
export function waitNow(question: WaitQuestion, practice: Practice): Result<ClimateWait> {
  const { kind, alcoholPercent, learned = 1 } = question
  const problem = climateProblem(question)
  if (problem !== null) return refused(problem)
  if (alcoholPercent !== undefined && !(alcoholPercent >= 0 && alcoholPercent <= 100))
    return refused(outOfRange('WAIT_OUT_OF_RANGE', say`alcohol`, percent, [alcoholPercent, 0, 100]))
  const usual = waitOf(kind, practice)
  const factor = waitFactor(kind, question, alcoholPercent)
  const minutes = usual.minutes * factor * learned
  return done({
    kind,
    label: usual.label,
    usualMinutes: usual.minutes,
    minutes,
    factor,
    learned,
    vapourPressureDeficitKpa: deficitKpa(question.roomC, question.humidityPercent),
    bondFraction: bondAfter(minutes / waitFactor('fullBond', question), practice),
  })
}
