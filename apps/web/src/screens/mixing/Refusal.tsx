import type { AnyFailure } from '@truelay/core/result'
import { Notice } from '../../ui/Notice.tsx'

/** Why a mix cannot be done, and what to change. */
export const Refusal = ({ failure }: { readonly failure: Pick<AnyFailure, 'sentence' | 'fix'> }) => (
  <Notice look="stop" role="alert">
    <p className="text-[20px] font-bold">{failure.sentence}</p>
    <p className="text-[17px]">{failure.fix}</p>
  </Notice>
)
