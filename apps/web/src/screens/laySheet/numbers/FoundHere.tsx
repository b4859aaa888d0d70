import type { PartPlan } from '@truelay/core/plan'
import { useWords } from '../../../ui/words.ts'

/** What the walk-round found on this part or what else stands out about it, and what follows from that. */
export function FoundHere({ plan }: { readonly plan: PartPlan }) {
  const t = useWords()
  const { notes } = plan
  if (notes.length === 0) return null
  return (
    <section aria-label={t`Found on this part`} className="border-b border-hair bg-amber-tint px-4 py-3">
      <h2 className="label-strong text-body">{t`Before you begin`}</h2>
      <ul>
        {notes.map((note) => (
          <li key={t(note.because)} className="mt-1 text-note leading-snug">
            <strong className="block first-letter:uppercase">{t(note.because)}</strong>
            {t(note.says)}
          </li>
        ))}
      </ul>
    </section>
  )
}
