import type { Vec2 } from '@truelay/core/geometry'
import { cureCautions, curePicture, type Judgement } from '@truelay/core/judge'
import { inHandWords, type PartPlan } from '@truelay/core/plan'
import { clauses, length } from '@truelay/core/say'
import { useCallback, useState } from 'react'
import { StepDrawing } from '../../../drawings/StepDrawing.tsx'
import { heldTogether } from '../../../ui/heldTogether.ts'
import { useWords } from '../../../ui/words.ts'
import { HeatHow } from '../HeatHow.tsx'
import { useAspect } from '../useAspect.ts'
import { useStepKeys } from '../useStepKeys.ts'

interface CureRunProps {
  readonly cure: Judgement['cure']
  readonly plan: PartPlan
  readonly place: { readonly at: Vec2 | null; readonly edge: string | null }
  /** Back to the judgement before the first step. */
  readonly onLeave: () => void
  readonly onDone: () => void
}

/** A cure as it is done: one step at a time, by hand or foot, as the fit itself. */
export function CureRun({ cure, plan, place, onLeave, onDone }: CureRunProps) {
  const t = useWords()
  const [at, setAt] = useState(0)
  const [picture, aspect] = useAspect()
  const show = useCallback((mm: number) => t`${length(mm)}`, [t])
  const done = () => (at + 1 < cure.length ? setAt(at + 1) : onDone())
  const back = () => (at > 0 ? setAt(at - 1) : onLeave())
  const { tooSoon } = useStepKeys(`cure ${at}`, done, back, 'in the page in front')
  const step = cure[at]
  if (step === undefined) return null
  const heat = step.heat === undefined ? undefined : plan.heat.find(({ use }) => use === step.heat)
  const hand = inHandWords({ liquids: step.liquids ?? [], tools: step.tools ?? [] })
  const cautions = cureCautions([step], plan.film)
  return (
    <>
      <div className="mt-3 grid min-h-0 flex-1 gap-6 overflow-y-auto lg:grid-cols-[minmax(0,5fr)_minmax(0,6fr)]">
        <section aria-label={t`Step of the cure`} aria-live="polite">
          <p className="label-strong text-lead text-quiet">{t`Step ${at + 1} of ${cure.length}`}</p>
          <p data-testid="cure-step" className="mt-1 text-figure font-bold leading-[1.08] max-sm:text-title">
            {heldTogether(t(step.says))}
          </p>
          {hand.length === 0 ? null : <p className="mt-3 text-head leading-snug">{t`In hand: ${clauses(hand)}`}</p>}
          {cautions.length === 0 ? null : (
            <div className="mt-3 space-y-1 border-l-5 border-amber bg-amber-tint px-3 py-1.5 text-lead leading-snug">
              {cautions.map((caution) => (
                <p key={t(caution)}>{t(caution)}</p>
              ))}
            </div>
          )}
          {heat === undefined ? null : <HeatHow heat={heat} thenCut={false} />}
        </section>
        <div ref={picture} className="min-h-64 overflow-hidden border border-hair bg-paper">
          <StepDrawing
            drawing={plan.drawing}
            sheet={plan.drawing.piece}
            picture={curePicture(plan.drawing, place, [step.id])}
            length={show}
            label={t`The place on the part`}
            aspect={aspect}
          />
        </div>
      </div>
      <div className="mt-3 grid h-32 shrink-0 grid-cols-[1fr_15.625rem] max-sm:h-24 max-sm:grid-cols-[1fr_8rem]">
        <button
          type="button"
          onClick={done}
          className="flex items-center justify-between gap-4 bg-petrol px-9 text-on-petrol hover:bg-petrol-deep max-sm:px-5"
        >
          <span className="text-figure font-bold max-sm:text-title">{t`Done`}</span>
          <span className="label text-lead max-sm:hidden" aria-live="polite">
            {tooSoon ? t`read this step, then press again` : t`or space, or foot`}
          </span>
        </button>
        <button
          type="button"
          onClick={back}
          className="label-strong border-l-8 border-transparent bg-bench px-5 text-left text-head max-sm:px-3 max-sm:text-lead"
        >
          {at > 0 ? t`Back one step` : t`Why it is so`}
        </button>
      </div>
    </>
  )
}
