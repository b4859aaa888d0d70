import { StepHeading } from './StepHeading.tsx'
import { AskBell } from './AskBell.tsx'
import { type Sentence, temperature } from '@truelay/core/say'
import type { ReactNode } from 'react'
import { useWords } from '../../ui/words.ts'
import type { Air } from '../../bench/useAir.ts'
import { clockText, countText } from '../../ui/clockText.ts'

interface WaitViewProps {
  readonly wait: { readonly label: Sentence; readonly from: Date; readonly until: Date }
  readonly now: Date
  readonly then: string
  readonly air: Air
  /** At ordinary room temperature; null where the wait does not hang on the air. */
  readonly usualMinutes: number | null
  /** What else becomes due on the same clock. */
  readonly later: readonly { readonly headline: Sentence; readonly at: Date }[]
  readonly onReady: () => void
  /** What can be done meanwhile. */
  readonly children?: ReactNode
}

/** A wait that counts down, and what comes after it. */
export function WaitView({ wait, now, then, air, usualMinutes, later, onReady, children }: WaitViewProps) {
  const t = useWords()
  const whole = wait.until.getTime() - wait.from.getTime()
  const left = Math.max(0, wait.until.getTime() - now.getTime())
  return (
    <section aria-label={t`Wait`} className="min-h-0 flex-1 overflow-y-auto px-7">
      <div className="flex min-h-full flex-col justify-center gap-6 py-4 lg:grid lg:grid-cols-[minmax(0,1fr)_24rem] lg:items-center lg:gap-8">
        <div className="flex flex-col gap-4">
          <StepHeading
            of={`wait ${wait.from.toISOString()}`}
            className="text-figure font-bold leading-tight"
          >{t`Wait: ${wait.label}`}</StepHeading>
          <p className="text-clock font-bold leading-none" role="timer" data-testid="countdown">
            {countText(left)}
          </p>
          <div className="h-4 max-w-4xl bg-film" aria-hidden="true">
            <div className="h-full bg-petrol" style={{ width: `${100 - (100 * left) / Math.max(1, whole)}%` }} />
          </div>
          <p className="text-title">
            {t`Ready at`} <strong>{clockText(wait.until)}</strong>
            {t`, then: ${then}`}
          </p>
          {later.length === 0 ? null : (
            <ul className="text-head">
              {later.map(({ headline, at }) => (
                <li key={t(headline)}>
                  <strong>{clockText(at)}</strong> {t(headline)}
                </li>
              ))}
            </ul>
          )}
          <p className="text-lead text-quiet">
            {usualMinutes === null
              ? t`In still air, as the heat model has it. A wet cloth is faster: feel it, or read the thermometer.`
              : t`At ${temperature(air.temperatureC)} and ${Math.round(air.humidityPercent)} %: ${minutes(whole)} min in place of ${Math.round(usualMinutes)}. A model: test an edge before you go on.`}
          </p>
        </div>
        <div className="flex flex-wrap items-stretch gap-4 lg:flex-col">
          {children}
          <AskBell />
          <button
            type="button"
            onClick={onReady}
            className="label-strong min-h-18 border border-ink/50 bg-paper px-6 text-head hover:border-petrol"
          >{t`It is ready already`}</button>
        </div>
      </div>
    </section>
  )
}

const minutes = (ms: number) => Math.round(ms / 60_000)
