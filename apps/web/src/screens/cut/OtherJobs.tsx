import type { FilmInStock, JobId } from '@truelay/contract'
import { counted, day } from '@truelay/core/say'
import { Choice } from '../../ui/Choice.tsx'
import { useWords } from '../../ui/words.ts'

interface OtherJobsProps {
  /** Other open jobs that need the same film, by their time. */
  readonly jobs: FilmInStock['jobs']
  readonly chosen: readonly JobId[]
  readonly byVehicle: boolean
  readonly onChoose: (jobs: readonly JobId[]) => void
  readonly onByVehicle: (byVehicle: boolean) => void
}

/** Jobs that are cut together with this one: less film is thrown away, and the plotter is loaded once. */
export function OtherJobs({ jobs, chosen, byVehicle, onChoose, onByVehicle }: OtherJobsProps) {
  const t = useWords()
  if (jobs.length === 0) return null
  return (
    <details className="border-b border-hair px-5 py-2">
      <summary className="label cursor-pointer py-1 text-body text-petrol">
        {chosen.length === 0
          ? t`Together with other jobs`
          : t`Together with ${counted(chosen.length, '# other job', '# other jobs')}`}
      </summary>
      <ul>
        {jobs.map(({ jobId, number, at }) => (
          <li key={jobId}>
            <label className="flex min-h-11 items-center gap-3 text-body">
              <input
                type="checkbox"
                checked={chosen.includes(jobId)}
                onChange={({ target }) =>
                  onChoose(target.checked ? [...chosen, jobId] : chosen.filter((id) => id !== jobId))
                }
                className="size-6 accent-petrol"
              />
              {t`Job ${number}, ${day(at)}`}
            </label>
          </li>
        ))}
      </ul>
      {chosen.length === 0 ? null : (
        <Choice
          label={t`How they lie on the roll`}
          value={byVehicle ? 'vehicle' : 'mixed'}
          options={[
            { value: 'mixed', text: t`Least film` },
            { value: 'vehicle', text: t`Car by car` },
          ]}
          onChange={(way) => onByVehicle(way === 'vehicle')}
        />
      )}
    </details>
  )
}
