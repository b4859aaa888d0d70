import { type Bay, type DayPlan, worksHere } from '@truelay/contract'
import { Link } from 'react-router'
import { whenWords } from '../../../ui/minutesWords.ts'
import { roleWords } from '../../../ui/roleWords.ts'
import { useWords } from '../../../ui/words.ts'
import { nextWork } from './dayLanes.ts'

interface NextInPlanProps {
  readonly bay: Bay
  readonly plan: DayPlan
  readonly now: Date
}

/** What everybody does now or next by the plan of the day. */
export function NextInPlan({ bay, plan, now }: NextInPlanProps) {
  const t = useWords()
  const parts = bay.jobs.flatMap((one) => one.parts)
  return (
    <section aria-labelledby="next-title" className="border-b border-hair px-5 py-4">
      <h2 id="next-title" className="label-strong text-body">{t`Who does what next`}</h2>
      <ul className="mt-2 space-y-2.5">
        {bay.people.filter(worksHere).map((person) => {
          const work = nextWork(plan, person.id, now)
          const part = parts.find(({ partId }) => partId === work?.partId)
          const begins = work === null ? now : new Date(work.startAt)
          return (
            <li key={person.id} className="leading-snug">
              <span className="font-bold">{person.name}</span>{' '}
              <span className="text-quiet">{t(roleWords[person.role])}</span>
              <br />
              {work === null || part === undefined ? (
                <span className="text-quiet">{t`free`}</span>
              ) : (
                <Link to={`/jobs/${part.jobId}`} className="inline-block min-h-8 hover:underline">
                  {begins > now ? <strong>{t`${whenWords(begins, now)} `}</strong> : null}
                  {t`${part.name}: ${work.says}`}
                </Link>
              )}
            </li>
          )
        })}
      </ul>
    </section>
  )
}
