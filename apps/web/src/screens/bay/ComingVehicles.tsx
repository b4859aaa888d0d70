import { counted } from '@truelay/core/say'
import { useWords } from '../../ui/words.ts'
import type { Bay } from '@truelay/contract'
import { Link } from 'react-router'
import { dayText } from '../../ui/clockText.ts'

/** Vehicles that come on the next days: their kits can be checked and their lays worked out before they are here. */
export function ComingVehicles({ jobs }: { readonly jobs: Bay['jobs'] }) {
  const t = useWords()
  if (jobs.length === 0) return null
  return (
    <section aria-labelledby="coming-title" className="px-6 py-5">
      <h2 id="coming-title" className="label-strong text-body">{t`Coming`}</h2>
      <ul>
        {jobs.map(({ job, parts }) => (
          <li
            key={job.id}
            className="flex flex-wrap items-baseline justify-between gap-x-6 border-t border-hair py-2.5"
          >
            <Link to={`/jobs/${job.id}/kit`} className="text-lead font-bold hover:text-petrol hover:underline">
              {job.vehicle.model}, {job.vehicle.plate}
            </Link>
            <span className="text-quiet">{t`${dayText(job.arrivedAt)}, ${counted(parts.length, '# part', '# parts')}, job ${job.number}`}</span>
          </li>
        ))}
      </ul>
    </section>
  )
}
