import { useWords } from '../../ui/words.ts'
import type { JobBundle } from '@truelay/contract'
import type { ReactNode } from 'react'
import { NavLink } from 'react-router'
import { useOpenInSight } from '../../ui/useOpenInSight.ts'

/** The parts of a job, side by side. */
export function PartTabs({
  bundle,
  stage,
  children,
}: {
  readonly bundle: JobBundle
  readonly stage: 'lay-sheets' | 'record'
  /** At the far end of the row. */
  readonly children?: ReactNode
}) {
  const t = useWords()
  const tabs = useOpenInSight()
  return (
    <div className="no-print flex flex-wrap border-b border-hair bg-bench lg:flex-nowrap">
      <nav
        ref={tabs}
        aria-label={t`Parts of the job`}
        className="flex min-w-0 overflow-x-auto pl-2.5 [scrollbar-width:thin]"
      >
        {bundle.parts.map((part) => (
          <NavLink
            key={part.id}
            to={`/jobs/${bundle.job.id}/${stage}/${part.id}`}
            className={({ isActive }) =>
              `label-strong flex min-h-11 items-center gap-3 whitespace-nowrap border-r border-hair px-4 text-note ${isActive ? 'border-t-3 border-t-petrol bg-chalk text-ink' : 'text-quiet hover:text-petrol'}`
            }
          >
            {part.name}
          </NavLink>
        ))}
      </nav>
      {children}
    </div>
  )
}
