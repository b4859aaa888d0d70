import type { Vec2 } from '@truelay/core/geometry'
import { curePicture, type FaultQuestion, type Judgement, type RankedCause } from '@truelay/core/judge'
import { inHandWords, type PartPlan } from '@truelay/core/plan'
import { atStart, clauses, length, percent, type Sentence } from '@truelay/core/say'
import { useCallback, useState } from 'react'
import { StepDrawing } from '../../../drawings/StepDrawing.tsx'
import { useAspect } from '../useAspect.ts'
import { NumberField } from '../../../ui/NumberField.tsx'
import { useWords } from '../../../ui/words.ts'

interface JudgedProps {
  readonly judgement: Judgement
  readonly plan: PartPlan
  /** Where another piece would come from. */
  readonly spare: Sentence
  readonly place: { readonly at: Vec2 | null; readonly edge: string | null }
  /** What the thermometer read there; null where nobody has read it. */
  readonly readC: number | null
  readonly onReadC: (readC: number) => void
  readonly onAnswer: (ask: FaultQuestion, answer: boolean) => void
}

/** Causes below this are not worth a line at two metres. */
const leastShown = 0.04
const shownAtFirst = 3

/** Why, with what speaks for it, and what to do where the work stands. */
export function Judged({ judgement, plan, spare, place, readC, onReadC, onAnswer }: JudgedProps) {
  const t = useWords()
  const { causes, tellApart, cure, cautions, until, tooLate, left } = judgement
  const [picture, aspect] = useAspect()
  const show = useCallback((mm: number) => t`${length(mm)}`, [t])
  const [all, setAll] = useState(false)
  const worth = causes.filter((cause) => cause.probability >= leastShown)
  const shown = all ? worth : worth.slice(0, shownAtFirst)
  return (
    <section
      // biome-ignore lint/a11y/noNoninteractiveTabindex: it is scrolled by the arrow keys
      tabIndex={0}
      aria-label={t`The judgement`}
      className="mt-3 grid min-h-0 flex-1 gap-x-8 gap-y-5 overflow-y-auto lg:grid-cols-[minmax(0,5fr)_minmax(0,6fr)]"
    >
      <section aria-label={t`Why`}>
        <h3 className="label-strong text-body text-quiet">{t`Why, most likely`}</h3>
        <ul className="mt-1 space-y-3">
          {shown.map((cause, i) => (
            <CauseLine key={cause.id} cause={cause} first={i === 0} />
          ))}
        </ul>
        {worth.length <= shownAtFirst ? null : (
          <button
            type="button"
            aria-expanded={all}
            onClick={() => setAll(!all)}
            className="label-strong mt-2 min-h-11 text-body text-petrol underline"
          >
            {all ? t`Fewer` : t`What else it may be`}
          </button>
        )}
        {tellApart === null ? null : (
          <div className="mt-4 border-l-5 border-petrol bg-petrol-tint px-4 py-3">
            <p className="text-lead font-bold leading-snug">{t(tellApart.says)}</p>
            <div className="mt-2 flex gap-3">
              {[true, false].map((answer) => (
                <button
                  key={String(answer)}
                  type="button"
                  onClick={() => onAnswer(tellApart.ask, answer)}
                  className="label-strong min-h-14 min-w-28 border border-ink/50 bg-paper px-5 text-lead hover:border-petrol"
                >
                  {answer ? t`Yes` : t`No`}
                </button>
              ))}
            </div>
          </div>
        )}
        {worth.some(({ id }) => id === 'too hot' || id === 'too little heat') ? (
          <ReadThere readC={readC} onReadC={onReadC} />
        ) : null}
        {cure.length === 0 ? null : (
          <div
            ref={picture}
            className={`mt-4 overflow-hidden border border-hair bg-paper ${tellApart === null ? 'h-64' : 'h-36'}`}
          >
            <StepDrawing
              drawing={plan.drawing}
              sheet={plan.drawing.piece}
              picture={curePicture(
                plan.drawing,
                place,
                cure.map(({ id }) => id),
              )}
              length={show}
              label={t`The place on the part`}
              aspect={aspect}
            />
          </div>
        )}
      </section>
      <section aria-label={t`What to do`}>
        <h3 className="label-strong text-body text-quiet">{t`What to do now`}</h3>
        {until === null ? null : (
          <p className="mt-1 border-l-5 border-amber bg-amber-tint px-3 py-2 text-lead leading-snug">{t(until)}</p>
        )}
        {cautions.length === 0 ? null : (
          <div className="mt-2 space-y-1 border-l-5 border-amber bg-amber-tint px-3 py-1.5 text-body leading-snug">
            {cautions.map((caution) => (
              <p key={t(caution)}>{t(caution)}</p>
            ))}
          </div>
        )}
        {tooLate === null ? (
          <ol className="mt-2 space-y-2.5">
            {cure.map((step, i) => {
              const planned = plan.heat.find((h) => h.use === step.heat)
              const hand = inHandWords({ liquids: step.liquids ?? [], tools: step.tools ?? [] })
              return (
                <li key={step.id} className="grid grid-cols-[2.5rem_1fr] items-baseline">
                  <span className="text-head font-bold text-petrol">{i + 1}</span>
                  <span className="text-head font-bold leading-snug">
                    {t(step.says)}
                    {hand.length === 0 ? null : (
                      <span className="block text-body font-normal text-quiet">{t`${clauses(hand)}`}</span>
                    )}
                    {planned === undefined ? null : (
                      <span className="block text-body font-normal">{t`${atStart(planned.words)}`}</span>
                    )}
                  </span>
                </li>
              )
            })}
          </ol>
        ) : (
          <div className="mt-2 border-l-8 border-stop bg-stop-tint px-4 py-3 text-lead leading-snug">
            <p className="text-title font-bold">{t(tooLate)}</p>
            {left === null ? null : <p className="mt-2">{t`To the customer: “${left}”`}</p>}
            <p className="mt-2">{t(spare)}</p>
          </div>
        )}
      </section>
    </section>
  )
}

/** A reading of the thermometer at the place, where heat may be behind it. */
function ReadThere({ readC, onReadC }: Pick<JudgedProps, 'readC' | 'onReadC'>) {
  const t = useWords()
  const [asked, setAsked] = useState(readC !== null)
  return asked ? (
    <div className="mt-3 max-w-64">
      <NumberField
        label={t`Thermometer showed there`}
        unit="°C"
        value={readC ?? usualReadC}
        digits={0}
        min={10}
        max={200}
        onCommit={onReadC}
      />
    </div>
  ) : (
    <button
      type="button"
      onClick={() => setAsked(true)}
      className="label-strong mt-3 min-h-11 text-body text-petrol underline"
    >{t`I read the thermometer there`}</button>
  )
}
/** What the field shows before anything is typed. */
const usualReadC = 60

function CauseLine({ cause, first }: { readonly cause: RankedCause; readonly first: boolean }) {
  const t = useWords()
  const share = Math.round(100 * cause.probability)
  return (
    <li>
      <p
        className={`flex items-baseline justify-between gap-4 leading-tight ${first ? 'text-title font-bold' : 'text-lead'}`}
      >
        <span>{t`${atStart(cause.says)}`}</span>
        <span className="shrink-0">{t`${percent(share)}`}</span>
      </p>
      <div className="mt-1 h-2 bg-bench" aria-hidden="true">
        <div className={`h-full ${first ? 'bg-petrol' : 'bg-film'}`} style={{ width: `${share}%` }} />
      </div>
      {cause.because.length === 0 ? null : (
        <p className="mt-1 text-body leading-snug">{t`For it: ${clauses([...cause.because])}.`}</p>
      )}
      {first ? <p className="mt-1 text-body leading-snug text-quiet">{t`Next time: ${cause.nextTime}`}</p> : null}
      {cause.against.length === 0 ? null : (
        <p className="mt-1 text-body leading-snug text-quiet">{t`Against it: ${clauses([...cause.against])}.`}</p>
      )}
    </li>
  )
}
