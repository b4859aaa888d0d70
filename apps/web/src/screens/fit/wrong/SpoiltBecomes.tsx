import type { PieceSource, SpoilOutcome } from '@truelay/core/judge'
import { useWords } from '../../../ui/words.ts'
import type { SpareOfKit } from './spareOf.ts'

/** What becomes of a spoilt piece: another one from somewhere, or it stays. */
export type SpoiltBecomes = { readonly from: PieceSource } | { readonly outcome: Exclude<SpoilOutcome, 'laid again'> }

interface SpoiltBecomesProps {
  readonly spare: SpareOfKit | null
  readonly onBecomes: (becomes: SpoiltBecomes) => void
}

const target = 'min-h-18 flex-1 basis-60 px-5 py-2 text-left leading-tight max-sm:min-h-14'

/** Another piece begins the lay anew: each target says where it comes from. */
export function SpoiltTargets({ spare, onBecomes }: SpoiltBecomesProps) {
  const t = useWords()
  const first = `${target} bg-petrol text-on-petrol hover:bg-petrol-deep`
  const plain = `${target} border border-ink/50 bg-paper hover:border-petrol`
  return (
    <>
      {spare === null ? null : (
        <button type="button" onClick={() => onBecomes({ from: 'spare' })} className={first}>
          <span className="label-strong block text-head max-sm:text-lead">{t`Take the spare`}</span>
          <span className="block text-body">{t(spare.says)}</span>
        </button>
      )}
      <button type="button" onClick={() => onBecomes({ from: 'roll' })} className={spare === null ? first : plain}>
        <span className="label-strong block text-head max-sm:text-lead">{t`Cut another from the roll`}</span>
        <span className="block text-body">{t`the bay shows it as to be cut`}</span>
      </button>
      <button type="button" onClick={() => onBecomes({ outcome: 'customer takes it' })} className={plain}>
        <span className="label-strong block text-head max-sm:text-lead">{t`The customer takes it as it is`}</span>
      </button>
    </>
  )
}
