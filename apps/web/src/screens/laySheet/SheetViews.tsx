import { say } from '@truelay/core/say'
import { useWords } from '../../ui/words.ts'
import type { JobId, PartId } from '@truelay/contract'
import { NavLink } from 'react-router'

const views = [
  { path: '', text: say`The lay` },
  { path: '/rehearsal', text: say`Rehearsal` },
  { path: '/heat', text: say`Heat` },
  { path: '/edges', text: say`Edges` },
  { path: '/light', text: say`Light` },
] as const

interface SheetViewsProps {
  readonly jobId: JobId
  readonly partId: PartId
  /** Tinted film lies on a lamp. */
  readonly light: boolean
}

/** The views of one lay sheet. */
export function SheetViews({ jobId, partId, light }: SheetViewsProps) {
  const t = useWords()
  return (
    <nav aria-label={t`Views of the lay sheet`} className="no-print ml-auto flex shrink-0 pr-3">
      {views
        .filter(({ path }) => light || path !== '/light')
        .map(({ path, text }) => (
          <NavLink
            key={path}
            end
            to={`/jobs/${jobId}/lay-sheets/${partId}${path}`}
            className={({ isActive }) =>
              `label-strong flex min-h-11 items-center whitespace-nowrap px-3.5 text-note ${isActive ? 'text-petrol underline decoration-2 underline-offset-8' : 'text-quiet hover:text-petrol'}`
            }
          >
            {t(text)}
          </NavLink>
        ))}
    </nav>
  )
}
