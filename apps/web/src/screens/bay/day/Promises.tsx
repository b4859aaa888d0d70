import type { DayPlan, Job } from '@truelay/contract'
import { paragraph } from '@truelay/core/say'
import { useWords } from '../../../ui/words.ts'
import { isDoubtful, lateWords, promiseWords, staysWords } from './promiseWords.ts'

interface PromisesProps {
  readonly plan: DayPlan
  readonly jobs: readonly Job[]
  readonly now: Date
}

/** What was promised, and whether it will be kept: of whatever day, the doubtful ones on top. */
export function Promises({ plan, jobs, now }: PromisesProps) {
  const t = useWords()
  const rows = jobs.flatMap((job) => {
    const promise = plan.promises?.find(({ jobId }) => jobId === job.id)
    const late = plan.late.find(({ jobId }) => jobId === job.id)?.minutes ?? 0
    const says =
      late > 0
        ? paragraph(lateWords(job, late, now), staysWords(plan, job, now) ?? false)
        : promise === undefined
          ? null
          : promiseWords(job, promise, now)
    return says === null ? [] : [{ job, says, doubtful: late > 0 || isDoubtful(promise?.chance ?? 1) }]
  })
  if (rows.length === 0) return null
  return (
    <ul className="mt-2 grid gap-x-8 gap-y-0.5 xl:grid-cols-2" aria-label={t`What was promised`}>
      {[...rows]
        .sort((a, b) => Number(b.doubtful) - Number(a.doubtful))
        .map(({ job, says, doubtful }) => (
          <li
            key={job.id}
            className={`border-l-5 pl-3 text-body ${doubtful ? 'border-amber font-bold text-amber-ink' : 'border-good'}`}
          >
            {t(says)}
          </li>
        ))}
    </ul>
  )
}
