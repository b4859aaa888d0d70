import { useWords } from '../../ui/words.ts'
import type { AnyFailure } from '@truelay/core/result'
import { Notice } from '../../ui/Notice.tsx'

/** Why a mix cannot be done, and what to change. */
export const Refusal = ({ failure }: { readonly failure: Pick<AnyFailure, 'sentence' | 'fix'> }) => {
  const t = useWords()
  return (
    <Notice look="stop" role="alert">
      <p className="text-lead font-bold">{t(failure.sentence)}</p>
      <p className="text-body">{t(failure.fix)}</p>
    </Notice>
  )
}
