import type { ReactNode } from 'react'

/** A few numbers under a small title, beside the drawings. */
export function Block({ title, children }: { readonly title: string; readonly children: ReactNode }) {
  return (
    <section className="border-t border-hair px-4 py-2.5">
      <h3 className="label text-note text-quiet">{title}</h3>
      {children}
    </section>
  )
}
