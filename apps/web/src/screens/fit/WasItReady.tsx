interface WasItReadyProps {
  readonly label: Sentence
  readonly minutes: number
  readonly onAnswer: (ready: boolean) => void
}

/** After a wait: one press teaches the app how long it takes in this shop. */
export function WasItReady({ label, minutes, onAnswer }: WasItReadyProps) {
  const t = useWords()
  return (
    <section
      aria-label={t`Was it ready?`}
      className="mb-3 flex flex-wrap items-center gap-3 border-l-5 border-petrol bg-paper px-4 py-2"
    >
      <p className="mr-auto text-lead leading-tight">
        <strong>{t`Was it ready?`}</strong> {t`${label}, ${Math.round(minutes)} min`}
      </p>
      <button
        type="button"
        onClick={() => onAnswer(true)}
        className="label-strong min-h-18 border border-good bg-chalk px-6 text-lead text-good"
      >{t`Yes`}</button>
      <button
        type="button"
        onClick={() => onAnswer(false)}
        className="label-strong min-h-18 border border-amber bg-amber-tint px-6 text-lead text-amber-ink"
      >{t`Not yet, wait longer`}</button>
    </section>
  )
}
import { useWords } from '../../ui/words.ts'
import type { Sentence } from '@truelay/core/say'
