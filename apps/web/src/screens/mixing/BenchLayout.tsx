import type { ReactNode } from 'react'

/** What one says on the left, what to do about it on the right. */
export const BenchLayout = ({ fields, children }: { readonly fields: ReactNode; readonly children: ReactNode }) => (
  <div className="grid gap-x-10 gap-y-6 px-6 py-5 lg:grid-cols-[25rem_minmax(0,1fr)]">
    <div className="grid content-start gap-5">{fields}</div>
    <div className="max-w-3xl">{children}</div>
  </div>
)
