import type { JobBundle } from '@truelay/contract'
import { NavLink } from 'react-router'

/** The parts of a job, side by side. */
export function PartTabs({ bundle, stage }: { readonly bundle: JobBundle; readonly stage: 'lay-sheets' | 'record' }) {
  return (
    <nav aria-label="Parts of the job" className="no-print flex overflow-x-auto border-b border-hair bg-bench pl-2.5">
      {bundle.parts.map((part) => (
        <NavLink
          key={part.id}
          to={`/jobs/${bundle.job.id}/${stage}/${part.id}`}
          className={({ isActive }) =>
            `label-strong flex min-h-11 items-center gap-3 whitespace-nowrap border-r border-hair px-4 text-[16px] ${isActive ? 'bg-chalk text-ink' : 'text-quiet hover:text-petrol'}`
          }
        >
          {part.name}
        </NavLink>
      ))}
    </nav>
  )
}
