import type { GapReading } from '@truelay/contract'
import { type Correction, correctionWords } from '@truelay/core/align'
import { type CheckPoint, correctionFor, measuredGaps, type PartPlan } from '@truelay/core/plan'
import { inWords, showLength } from '@truelay/core/units'
import { Minus, Plus } from 'lucide-react'
import { useId } from 'react'
import { useUnits } from '../../ui/units.ts'
import { draftMm, gapFigure } from './readGaps.ts'

interface GapEntryProps {
  readonly plan: PartPlan
  readonly drafts: Readonly<Record<string, string>>
  /** Rounds measured so far. */
  readonly rounds: readonly (readonly GapReading[])[]
  readonly problem: string | null
  readonly onDraft: (checkId: string, text: string) => void
}

/** The gaps are typed or stepped, and answered with a move and a turn in words. */
export function GapEntry({ plan, drafts, rounds, problem, onDraft }: GapEntryProps) {
  const units = useUnits()
  const last = rounds[rounds.length - 1]
  const show = (mm: number) => inWords(showLength(mm, units.length))
  const step = (check: CheckPoint, by: number) => {
    const now = draftMm(drafts[check.id] ?? '', units) ?? Math.abs(check.wantedMm)
    onDraft(check.id, gapFigure(Math.max(0, now + by), units))
  }
  return (
    <div className="mt-2">
      {last === undefined ? (
        <p className="text-[20px] leading-snug">
          {plan.checks[0]?.reads === 'gap'
            ? 'From the part’s edge to the film’s edge'
            : 'How far the film passes the edge'}
          , wanted <strong>{wantedWords(plan, show)}</strong>. Leave out what you cannot reach.
        </p>
      ) : (
        <Answer plan={plan} readings={last} show={show} again={rounds.length > 1} />
      )}
      {problem === null ? null : (
        <p role="alert" className="mt-2 border-l-[5px] border-stop bg-stop-tint px-3 py-1.5 text-[18px]">
          {problem}
        </p>
      )}
      <fieldset className="mt-2 grid grid-cols-2 gap-x-5 gap-y-1 portrait:gap-y-1.5">
        <legend className="sr-only">Measured gaps in {units.length}</legend>
        {plan.checks.map((check) => (
          <GapField
            key={check.id}
            check={check}
            unit={units.length}
            text={drafts[check.id] ?? ''}
            wanted={gapFigure(check.wantedMm, units)}
            onText={(text) => onDraft(check.id, text)}
            onStep={(by) => step(check, by)}
          />
        ))}
      </fieldset>
    </div>
  )
}

function wantedWords(plan: PartPlan, show: (mm: number) => string) {
  const wanted = [...new Set(plan.checks.map((c) => show(Math.abs(c.wantedMm))))]
  return wanted.length === 1 ? `${wanted[0]} everywhere` : 'as each field says'
}

interface GapFieldProps {
  readonly check: CheckPoint
  readonly unit: string
  readonly text: string
  readonly wanted: string
  readonly onText: (text: string) => void
  readonly onStep: (byMm: number) => void
}

function GapField({ check, unit, text, wanted, onText, onStep }: GapFieldProps) {
  const id = useId()
  return (
    <div>
      <label htmlFor={id} className="label block truncate text-[15px] leading-[1.15] portrait:text-[18px]">
        <strong className="text-amber">{check.id}</strong> {check.label}
      </label>
      <div className="flex h-11 border portrait:h-13 border-ink/50 bg-paper">
        <button
          type="button"
          aria-label={`${check.id} less`}
          onClick={() => onStep(-0.5)}
          className="flex w-12 items-center justify-center border-r border-hair"
        >
          <Minus size={22} />
        </button>
        <input
          id={id}
          inputMode="decimal"
          autoComplete="off"
          value={text}
          placeholder={wanted}
          onChange={(e) => onText(e.target.value)}
          className="min-w-0 flex-1 bg-transparent text-center text-[24px] font-bold outline-none placeholder:font-normal placeholder:text-quiet/80"
        />
        <span className="self-center pr-2 text-quiet">{unit}</span>
        <button
          type="button"
          aria-label={`${check.id} more`}
          onClick={() => onStep(0.5)}
          className="flex w-12 items-center justify-center border-l border-hair"
        >
          <Plus size={22} />
        </button>
      </div>
    </div>
  )
}

interface AnswerProps {
  readonly plan: PartPlan
  readonly readings: readonly GapReading[]
  readonly show: (mm: number) => string
  readonly again: boolean
}

/** What the measured gaps ask for. */
function Answer({ plan, readings, show, again }: AnswerProps) {
  const gaps = measuredGaps(plan, readings)
  if (gaps.every((gap) => gap.right))
    return (
      <p role="status" className="border-l-8 border-good bg-paper px-4 py-3 text-[28px] font-bold leading-tight">
        Within {show(plan.gapToleranceMm)} everywhere{again ? ' now' : ''}. Leave it.
      </p>
    )
  const answer = correctionFor(gaps)
  if (!answer.ok)
    return (
      <p role="alert" className="border-l-8 border-stop bg-stop-tint px-4 py-3 text-[22px]">
        {answer.failure.sentence} {answer.failure.fix}
      </p>
    )
  return (
    <div role="status" className="border-l-8 border-amber bg-amber-tint px-4 py-2">
      <p className="text-[27px] font-bold leading-[1.15] portrait:text-[30px]" data-testid="correction">
        {correctionWords(answer.value, { directions: plan.directions, length: show })}
      </p>
      <p className="mt-1 text-[16px] leading-snug portrait:text-[19px]">{sureness(answer.value, plan, show)}</p>
    </div>
  )
}

function sureness({ sigma, residualMm }: Correction, plan: PartPlan, show: (mm: number) => string): string {
  const left = Math.max(...residualMm.map(Math.abs))
  const [x, y] = sigma.moveMm
  const unknown = [
    Number.isFinite(x) ? null : `towards ${plan.directions.left} or ${plan.directions.right}`,
    Number.isFinite(y) ? null : `towards ${plan.directions.up} or ${plan.directions.down}`,
    Number.isFinite(sigma.turnDeg) ? null : 'for the turn',
  ].filter((w) => w !== null)
  const after =
    left <= plan.gapToleranceMm
      ? `Then every gap is right to ${show(left)}.`
      : `Even then one gap stays ${show(left)} off: the piece and the part differ.`
  if (unknown.length > 0) return `${after} These gaps say nothing ${unknown.join(' and ')}: measure another edge too.`
  return `${after} Sure to about ${show(Math.max(x, y))} and ${sigma.turnDeg.toFixed(2)}°.`
}
