import type { ReactNode } from 'react'

const looks = {
  caution: 'border-amber bg-amber-tint text-ink',
  stop: 'border-stop bg-stop-tint text-ink',
  good: 'border-good bg-paper text-ink',
} as const

/** A sentence that must not be missed, with a bar at its side. */
export function Notice({
  look,
  children,
  role,
}: {
  readonly look: keyof typeof looks
  readonly children: ReactNode
  readonly role?: 'alert' | 'status'
}) {
  return (
    <div role={role} className={`border-l-5 px-3.5 py-2.5 text-note leading-snug ${looks[look]}`}>
      {children}
    </div>
  )
}
