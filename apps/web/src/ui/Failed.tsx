import type { Sentence } from '@truelay/core/say'
import type { ReactNode } from 'react'
import { useWords } from './words.ts'

/** What went wrong and what to do, where content would be. */
export function Failed({
  sentence,
  fix,
  children,
}: {
  readonly sentence: Sentence
  readonly fix: Sentence
  readonly children?: ReactNode
}) {
  const t = useWords()
  return (
    <div role="alert" className="m-8 max-w-xl border-l-5 border-stop bg-paper p-6">
      <p className="text-head font-bold leading-tight">{t(sentence)}</p>
      <p className="mt-2 text-body text-quiet">{t(fix)}</p>
      {children === undefined ? null : <div className="mt-4">{children}</div>}
    </div>
  )
}

/** Where nothing is yet: nothing went wrong, and this is how something comes there. */
export function NothingYet({
  sentence,
  next,
  children,
}: {
  readonly sentence: Sentence
  readonly next: Sentence
  readonly children?: ReactNode
}) {
  const t = useWords()
  return (
    <div className="m-8 max-w-xl border-l-5 border-petrol bg-paper p-6">
      <p className="text-head font-bold leading-tight">{t(sentence)}</p>
      <p className="mt-2 text-body text-quiet">{t(next)}</p>
      {children === undefined ? null : <div className="mt-4">{children}</div>}
    </div>
  )
}

/** A quiet line while something is on its way. */
export function Busy({ text }: { readonly text: string }) {
  return (
    <p role="status" className="label p-6 text-body text-quiet">
      {text}
    </p>
  )
}
