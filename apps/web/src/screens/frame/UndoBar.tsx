import { wholeFailure } from '@truelay/core/result'
import { useState } from 'react'
import { failureOf } from '../../remote/failureOf.ts'
import { Button } from '../../ui/Button.tsx'
import { offerUndo, useUndoOffer } from '../../ui/undoOffer.ts'
import { useWords } from '../../ui/words.ts'

/** What was just done, and the way back; it goes along from screen to screen. */
export function UndoBar() {
  const t = useWords()
  const offer = useUndoOffer()
  const [error, setError] = useState<unknown>(undefined)
  if (offer === null) return null
  const takeBack = async () => {
    const outcome = await offer.back()
    setError(outcome.error)
    if (outcome.error === undefined) offerUndo(null)
  }
  return (
    <div
      role="status"
      className="no-print flex shrink-0 flex-wrap items-center gap-x-5 gap-y-2 border-t border-hair bg-paper px-6 py-3"
    >
      <span className="text-lead font-bold">{t(offer.said)}</span>
      <Button onClick={() => void takeBack()}>{t`Undo`}</Button>
      <Button look="quiet" onClick={() => offerUndo(null)}>{t`Leave it so`}</Button>
      {error === undefined ? null : <span className="text-body text-stop">{t(wholeFailure(failureOf(error)))}</span>}
    </div>
  )
}
