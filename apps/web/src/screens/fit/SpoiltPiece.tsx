import type { FitEventOf } from '@truelay/contract'
import { faultWords, type SpoilOutcome, spoilOutcomes, spoilOutcomeWords } from '@truelay/core/judge'
import { useWords } from '../../ui/words.ts'

interface SpoiltPieceProps {
  readonly spoilt: readonly FitEventOf<'problemSeen'>[]
  readonly onSettled: (outcome: SpoilOutcome) => void
}

/** A torn or burnt piece stands on the list: the part is not done before somebody says what becomes of it. */
export function SpoiltPiece({ spoilt, onSettled }: SpoiltPieceProps) {
  const t = useWords()
  return (
    <section
      aria-label={t`A spoilt piece`}
      className="mt-3 border-l-8 border-stop bg-stop-tint px-4 py-3 text-head leading-snug"
    >
      <p className="font-bold first-letter:uppercase">
        {spoilt.map((s) => t`${faultWords(s.problem)}, ${s.place}`).join('; ')}
      </p>
      <p>{t`What becomes of it?`}</p>
      <div className="mt-2 flex flex-wrap gap-3">
        {spoilOutcomes.map((outcome) => (
          <button
            key={outcome}
            type="button"
            onClick={() => onSettled(outcome)}
            className="label-strong min-h-16 border border-ink/50 bg-paper px-5 text-lead hover:border-petrol"
          >
            {t(spoilOutcomeWords(outcome))}
          </button>
        ))}
      </div>
    </section>
  )
}
