import type { ReactNode } from 'react'

/** What went wrong and what to do, where content would be. */
export function Failed({
  sentence,
  fix,
  children,
}: {
  readonly sentence: string
  readonly fix: string
  readonly children?: ReactNode
}) {
  return (
    <div role="alert" className="m-8 max-w-xl border-l-[5px] border-stop bg-paper p-6">
      <p className="text-[22px] font-bold leading-tight">{sentence}</p>
      <p className="mt-2 text-[17px] text-quiet">{fix}</p>
      {children === undefined ? null : <div className="mt-4">{children}</div>}
    </div>
  )
}

/** A quiet line while something is on its way. */
export function Busy({ text }: { readonly text: string }) {
  return (
    <p role="status" className="label p-6 text-[16px] text-quiet">
      {text}
    </p>
  )
}
