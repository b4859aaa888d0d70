import { wettedAt } from '@truelay/contract'
import { correctionWords } from '@truelay/core/align'
import { correctionFor, measuredGaps, type PlanStep } from '@truelay/core/plan'
import { say, type Sentence } from '@truelay/core/say'
import type { useWords } from '../../ui/words.ts'
import type { Fitting } from './fitting.ts'
import type { GapRounds } from './useGapRounds.ts'

/** A clock is told when so much of it is left. */
const toldAtMs = 120_000

interface AloudParts {
  readonly t: ReturnType<typeof useWords>
  readonly state: Fitting
  readonly step: PlanStep | undefined
  readonly now: Date
  readonly waiting: boolean
  readonly wait: { readonly label: Sentence; readonly until: Date } | null
  readonly gaps: Pick<GapRounds, 'plan' | 'last'>
}

/** What is read aloud, each for itself: the step or the wait with its cautions, the clock that runs out, the answer to measured gaps. */
export function aloudWords({ t, state, step, now, waiting, wait, gaps }: AloudParts): (string | null)[] {
  if (step === undefined) return []
  const left = (until: Date) => until.getTime() - now.getTime()
  const soon = (until: Date) => left(until) > 0 && left(until) <= toldAtMs
  if (waiting && wait !== null) return [t`Wait: ${wait.label}`, soon(wait.until) ? t`Two minutes left.` : null, null]
  const dry =
    step.driesInMinutes === undefined
      ? null
      : new Date(wettedAt(state, step, now).getTime() + step.driesInMinutes * 60_000)
  const clock =
    dry === null
      ? null
      : soon(dry)
        ? t`The film dries in two minutes.`
        : left(dry) <= 0
          ? t`Wet the film again now.`
          : null
  const says = [step.headline, ...step.cautions.map((caution) => caution.says)].map((sentence) => t(sentence)).join(' ')
  return [says, clock, gaps.last === undefined ? null : t(answerTo(gaps.plan, gaps.last))]
}

function answerTo(plan: GapRounds['plan'], last: NonNullable<GapRounds['last']>): Sentence {
  const measured = measuredGaps(plan, last)
  if (measured.every((gap) => gap.right)) return say`Leave it.`
  const correction = correctionFor(measured, plan.gapSigmaMm)
  return correction.ok ? correctionWords(correction.value, plan.directions) : correction.failure.sentence
}
