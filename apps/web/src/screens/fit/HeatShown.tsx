import { type Begun, standing } from '@truelay/contract'
import type { PlannedHeat, PlanStep } from '@truelay/core/plan'
import { temperature } from '@truelay/core/say'
import { useWords } from '../../ui/words.ts'
import type { Happened } from './useFit.ts'

interface HeatShownProps {
  readonly state: Begun
  readonly step: Pick<PlanStep, 'id'>
  readonly heat: Pick<PlannedHeat, 'use' | 'readingC'>
  readonly happened: Happened
}

/** What it may have shown instead: steps that a hand-held thermometer is read to. */
const offC = [-15, -10, -5, 0, 5, 10] as const

/** What the thermometer showed after the passes: one tap. It tells the next fit whether the passes were right. */
export function HeatShown({ state, step, heat, happened }: HeatShownProps) {
  const t = useWords()
  const shown = standing(state, 'heatRead').findLast(({ stepId }) => stepId === step.id)?.readC
  const wantedC = Math.round(heat.readingC)
  return (
    <section aria-label={t`What the thermometer showed`} className="mt-2 flex flex-wrap items-center gap-1.5">
      <span className="label text-body text-quiet">{t`It showed`}</span>
      {offC.map((off) => {
        const readC = wantedC + off
        const on = shown === readC
        return (
          <button
            key={off}
            type="button"
            aria-pressed={on}
            onClick={() => happened({ kind: 'heatRead', stepId: step.id, use: heat.use, readC, wantedC })}
            className={`min-h-12 min-w-14 border px-1.5 text-body ${on ? 'border-petrol bg-petrol text-on-petrol' : off === 0 ? 'border-2 border-ink/60 bg-paper font-bold' : 'border-ink/40 bg-paper'}`}
          >
            {t`${temperature(readC)}`}
          </button>
        )
      })}
    </section>
  )
}
