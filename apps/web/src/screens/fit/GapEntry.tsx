import { wholeFailure } from '@truelay/core/result'
import { useWords } from '../../ui/words.ts'
import type { GapReading } from '@truelay/contract'
import { type Correction, correctionWords } from '@truelay/core/align'
import { correctionFor, type MeasuredGap, measuredGaps, type PartPlan, wrongAfter } from '@truelay/core/plan'
import { radFromDeg } from '@truelay/core/units'
import { length, list, name, paragraph, say, type Sentence } from '@truelay/core/say'
import { useUnits } from '../../ui/units.ts'
import { GapField } from './GapField.tsx'

interface GapEntryProps {
  readonly plan: PartPlan
  readonly drafts: Readonly<Record<string, string>>
  /** Rounds measured so far. */
  readonly rounds: readonly (readonly GapReading[])[]
  readonly problem: Sentence | null
  readonly onDraft: (checkId: string, text: string) => void
}

/** The gaps are typed or stepped, and answered with a move and a turn in words. */
export function GapEntry({ plan, drafts, rounds, problem, onDraft }: GapEntryProps) {
  const t = useWords()
  const units = useUnits()
  const last = rounds[rounds.length - 1]
  return (
    <div className="mt-2">
      {last === undefined ? (
        <p className="text-lead leading-snug">
          {t`${plan.checks[0]?.reads === 'gap' ? t`From the part’s edge to the film’s edge` : t`How far the film passes the edge`}, wanted`}{' '}
          <strong>{t(wantedWords(plan))}</strong>
          {t`. Leave out what you cannot reach.`}
        </p>
      ) : (
        <Answer plan={plan} readings={last} again={rounds.length > 1} />
      )}
      {problem === null ? null : (
        <p role="alert" className="mt-2 border-l-5 border-stop bg-stop-tint px-3 py-1.5 text-body">
          {t(problem)}
        </p>
      )}
      <fieldset className="mt-2 grid grid-cols-2 gap-x-5 gap-y-1 portrait:gap-y-1.5">
        <legend className="sr-only">{t`Measured gaps in ${units.length}`}</legend>
        {plan.checks.map((check) => (
          <GapField
            key={check.id}
            check={check}
            text={drafts[check.id] ?? ''}
            expectedMm={check.wantedMm}
            onText={(text) => onDraft(check.id, text)}
          />
        ))}
      </fieldset>
    </div>
  )
}

function wantedWords(plan: PartPlan): Sentence {
  const [wantedMm, ...others] = new Set(plan.checks.map((c) => Math.abs(c.wantedMm)))
  return wantedMm === undefined || others.length > 0 ? say`as each field says` : say`${length(wantedMm)} everywhere`
}

interface AnswerProps {
  readonly plan: PartPlan
  readonly readings: readonly GapReading[]
  readonly again: boolean
}

/** What the measured gaps ask for. */
function Answer({ plan, readings, again }: AnswerProps) {
  const t = useWords()
  const gaps = measuredGaps(plan, readings)
  if (gaps.every((gap) => gap.right))
    return (
      <p role="status" className="border-l-8 border-good bg-paper px-4 py-3 text-title font-bold leading-tight">
        {again
          ? t`Within ${length(plan.gapToleranceMm)} everywhere now. Leave it.`
          : t`Within ${length(plan.gapToleranceMm)} everywhere. Leave it.`}
      </p>
    )
  const answer = correctionFor(gaps, plan.gapSigmaMm)
  if (!answer.ok)
    return (
      <p role="alert" className="border-l-8 border-stop bg-stop-tint px-4 py-3 text-head">
        {t(wholeFailure(answer.failure))}
      </p>
    )
  return (
    <div role="status" className="border-l-8 border-amber bg-amber-tint px-4 py-2">
      <p className="text-title font-bold leading-[1.1]" data-testid="correction">
        {t(correctionWords(answer.value, plan.directions))}
      </p>
      <p className="mt-1 text-note leading-snug portrait:text-lead">{t(sureness(answer.value, gaps, plan))}</p>
    </div>
  )
}

function sureness(answer: Correction, gaps: readonly MeasuredGap[], plan: PartPlan): Sentence {
  const { sigma, residualMm } = answer
  const leftMm = Math.max(...residualMm.map(Math.abs))
  const wrong = wrongAfter(plan, gaps, answer)
  const [x, y] = sigma.moveMm
  const { left, right, up, down } = plan.directions
  const unknown = [
    Number.isFinite(x) ? null : say`towards ${name(left)} or ${name(right)}`,
    Number.isFinite(y) ? null : say`towards ${name(up)} or ${name(down)}`,
    Number.isFinite(sigma.turnDeg) ? null : say`for the turn`,
  ].filter((w) => w !== null)
  const after =
    wrong.length === 0
      ? say`Then every gap is right to ${length(leftMm)}.`
      : say`Even then one gap stays ${length(Math.max(...wrong))} off: the piece and the part differ.`
  const sure =
    unknown.length > 0
      ? say`These gaps say nothing ${list(unknown)}: measure another edge too.`
      : say`Sure to about ${length(Math.max(x, y))}, ${length(radFromDeg(sigma.turnDeg) * answer.farMm)} at the far end.`
  return paragraph(after, sure)
}
