import { Heading } from '../../ui/Title.tsx'
import { useWords } from '../../ui/words.ts'
import { type FindingKind, findingMeanings } from '@truelay/core/plan'
import type { Slot } from '@truelay/core/vehicle'
import { Button } from '../../ui/Button.tsx'
import { kindsFor } from './findingsFor.ts'

interface ChooseKindProps {
  readonly slot: Slot
  readonly onChoose: (kind: FindingKind) => void
  readonly onBack: () => void
}

/** What is there: one tap, and it is kept. */
export function ChooseKind({ slot, onChoose, onBack }: ChooseKindProps) {
  const t = useWords()
  return (
    <section aria-label={t`What is found on ${slot.name}`} className="flex min-h-0 flex-1 flex-col">
      <Heading className="px-5 pt-4">{slot.name}</Heading>
      <p className="px-5 text-body text-quiet">{t`What is there? One tap keeps it.`}</p>
      <div className="mt-3 grid min-h-0 flex-1 grid-cols-2 content-start gap-2 overflow-y-auto px-5 pb-3">
        {kindsFor(slot.id).map((kind) => (
          <button
            key={kind}
            type="button"
            onClick={() => onChoose(kind)}
            className="label-strong min-h-15 border border-ink/40 bg-chalk px-3 text-left text-lead leading-tight first-letter:uppercase hover:border-petrol hover:bg-petrol-tint"
          >
            {t(findingMeanings[kind].says)}
          </button>
        ))}
      </div>
      <div className="border-t border-hair p-4">
        <Button onClick={onBack} className="w-full">{t`Nothing here`}</Button>
      </div>
    </section>
  )
}
