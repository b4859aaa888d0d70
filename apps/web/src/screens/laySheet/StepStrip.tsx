import { say, type Sentence } from '@truelay/core/say'
import { useWords } from '../../ui/words.ts'
import type { PartPlan, PlanStep } from '@truelay/core/plan'

const phaseWords: Readonly<Record<PlanStep['phase'], Sentence>> = {
  prepare: say`Prepare`,
  mix: say`Mix`,
  place: say`Place`,
  lay: say`Lay`,
  edges: say`Edges`,
  heat: say`Heat`,
  look: say`Look`,
}

/** The steps in order; the one under the slider is told in full. */
export function StepStrip({
  plan,
  index,
  onIndex: setIndex,
}: {
  readonly plan: PartPlan
  readonly index: number
  readonly onIndex: (index: number) => void
}) {
  const t = useWords()
  const step = plan.steps[Math.min(index, plan.steps.length - 1)]
  if (step === undefined) return null
  const hours = Math.floor(plan.minutes / 60)
  const minutes = Math.round(plan.minutes % 60)
  return (
    <section aria-label={t`Steps`} className="no-print border-t border-hair bg-paper px-4 pb-3 pt-2">
      <div className="flex items-baseline justify-between gap-4">
        <p className="min-w-0 truncate">
          <span className="label text-note text-quiet">{t`${index + 1} of ${plan.steps.length}, ${phaseWords[step.phase]}`}</span>{' '}
          <strong className="pl-1 text-body">{t(step.headline)}</strong>
        </p>
        <p className="label shrink-0 text-note text-quiet">
          {hours > 0
            ? t`all steps ${hours} h ${minutes} min, waits included`
            : t`all steps ${minutes} min, waits included`}
        </p>
      </div>
      <input
        type="range"
        aria-label={t`Step`}
        aria-valuetext={t`Step ${index + 1}: ${step.headline}`}
        min={0}
        max={plan.steps.length - 1}
        value={index}
        onChange={(event) => setIndex(Number(event.target.value))}
        className="mt-1 h-7 w-full accent-[var(--petrol)]"
      />
      <FoundTicks plan={plan} onChoose={setIndex} />
      <Phases plan={plan} current={step.phase} />
      <p className="min-h-[2.625rem] text-note leading-snug">
        {step.because === undefined ? null : <strong className="text-amber-ink">{t(step.because)} </strong>}
        {t(step.detail)} <span className="text-quiet">{t(step.why)}</span>
        {step.cautions.map((caution) => (
          <span key={t(caution.says)} className="text-amber-ink">
            {' '}
            {t(caution.says)}
          </span>
        ))}
      </p>
    </section>
  )
}

/** Steps that the walk-round or something else out of the ordinary has brought or changed, marked under the slider where they stand. */
function FoundTicks({ plan, onChoose }: { readonly plan: PartPlan; readonly onChoose: (index: number) => void }) {
  const t = useWords()
  const found = plan.steps.flatMap((step, i) => (step.because === undefined ? [] : [{ step, i }]))
  if (found.length === 0) return null
  return (
    <p className="label mb-1 flex flex-wrap gap-x-4 text-note">
      <span className="text-quiet">{t`Not as usual here:`}</span>
      {found.map(({ step, i }) => (
        <button key={step.id} type="button" onClick={() => onChoose(i)} className="text-amber-ink underline">
          {i + 1}. {t(step.headline)}
        </button>
      ))}
    </p>
  )
}

/** The phases under the slider, each as wide as it has steps. */
function Phases({ plan, current }: { readonly plan: PartPlan; readonly current: PlanStep['phase'] }) {
  const t = useWords()
  const runs: { phase: PlanStep['phase']; count: number; key: string }[] = []
  for (const { phase, id } of plan.steps) {
    const last = runs[runs.length - 1]
    if (last?.phase === phase) last.count++
    else runs.push({ phase, count: 1, key: id })
  }
  return (
    <div className="label mb-1.5 flex gap-0.5 text-note" aria-hidden="true">
      {runs.map((run) => (
        <span
          key={run.key}
          style={{ flexGrow: run.count, flexBasis: 0 }}
          className={`min-w-0 overflow-hidden border-t-2 pt-0.5 ${run.phase === current ? 'border-petrol text-petrol' : 'border-hair text-quiet'}`}
        >
          {run.count > 1 || plan.steps.length < 20 ? t(phaseWords[run.phase]) : ''}
        </span>
      ))}
    </div>
  )
}
