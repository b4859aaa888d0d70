import type { FitEventOf } from '@truelay/contract'
import { faultWords } from '@truelay/core/judge'
import { useWords } from '../../ui/words.ts'
import type { SpareOfKit } from './wrong/spareOf.ts'
import { type SpoiltBecomes, SpoiltTargets } from './wrong/SpoiltBecomes.tsx'

interface SpoiltPieceProps {
  readonly spoilt: readonly FitEventOf<'problemSeen'>[]
  readonly spare: SpareOfKit | null
  readonly onSettled: (becomes: SpoiltBecomes) => void
}

/** A torn or burnt piece stands on the list: the part is not done before somebody says what becomes of it. */
export function SpoiltPiece({ spoilt, spare, onSettled }: SpoiltPieceProps) {
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
        <SpoiltTargets spare={spare} onBecomes={onSettled} />
      </div>
    </section>
  )
}
