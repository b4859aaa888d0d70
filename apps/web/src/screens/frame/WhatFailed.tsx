import { wholeFailure } from '@truelay/core/result'
import { failureOf } from '../../remote/failureOf.ts'
import { Notice } from '../../ui/Notice.tsx'
import { useWords } from '../../ui/words.ts'

/** What is wrong with what was just asked of the shop, and what to do; nothing where nothing is. */
export function WhatFailed({ error, className = '' }: { readonly error: unknown; readonly className?: string }) {
  const t = useWords()
  if (error === undefined || error === null) return null
  return (
    <div className={className}>
      <Notice look="stop" role="alert">
        {t(wholeFailure(failureOf(error)))}
      </Notice>
    </div>
  )
}
