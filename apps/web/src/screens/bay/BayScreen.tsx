import { Title } from '../../ui/Title.tsx'
import { say, name, type Sentence } from '@truelay/core/say'
import { useWords } from '../../ui/words.ts'
import { type Bay, type PartProgress, worksHere } from '@truelay/contract'
import { roleWords } from '../../ui/roleWords.ts'
import { endOfDay } from 'date-fns'
import { Plus } from 'lucide-react'
import { lazy, Suspense, useState } from 'react'
import { Link } from 'react-router'
import { useBayQuery } from '../../remote/api.ts'
import { useDayQuery } from '../../remote/dayApi.ts'
import { failureOf } from '../../remote/failureOf.ts'
import { dayText } from '../../ui/clockText.ts'
import { buttonClass } from '../../ui/Button.tsx'
import { Busy, Failed, NothingYet } from '../../ui/Failed.tsx'
import { RoomAir } from '../frame/RoomAir.tsx'
import { useNow } from '../../ui/useNow.ts'
import { ComingVehicles } from './ComingVehicles.tsx'
import { Drying } from './Drying.tsx'
import { VehicleHere } from './VehicleHere.tsx'

const DayBoard = lazy(async () => ({ default: (await import('./day/DayBoard.tsx')).DayBoard }))
const NextInPlan = lazy(async () => ({ default: (await import('./day/NextInPlan.tsx')).NextInPlan }))

/** Home: the vehicles that are here, what comes next, what is drying. */
export function BayScreen() {
  const t = useWords()
  const { data: bay, error } = useBayQuery(undefined, { pollingInterval: 15_000, refetchOnMountOrArgChange: true })
  const [making, setMaking] = useState(false)
  const { data: day } = useDayQuery(undefined, {
    // A plan that is being made is there in seconds.
    pollingInterval: making ? 2000 : 20_000,
    refetchOnMountOrArgChange: true,
  })
  if ((day?.making ?? false) !== making) setMaking(day?.making ?? false)
  const now = useNow(1000)
  if (bay === undefined)
    return error === undefined ? <Busy text={t`Opening the bay`} /> : <Failed {...failureOf(error)} />
  const tonight = endOfDay(now)
  const here = bay.jobs.filter(({ job }) => new Date(job.arrivedAt) <= tonight)
  const coming = bay.jobs.filter(({ job }) => new Date(job.arrivedAt) > tonight)
  const waits = bay.jobs.flatMap((j) => j.parts).filter((p) => p.readyAt !== null)
  return (
    <div className="flex min-h-full flex-col">
      <header className="flex flex-wrap items-end justify-between gap-x-8 gap-y-2 border-b border-hair bg-paper px-6 py-4">
        <div>
          <p className="label text-note text-quiet">{bay.shop.name}</p>
          <Title>{dayText(now)}</Title>
        </div>
        <div className="flex items-end gap-8">
          <Room bay={bay} />
          <Link to="/jobs/new" className={`${buttonClass('go')} min-h-13`}>
            <Plus size={20} /> {t`New job`}
          </Link>
        </div>
      </header>
      {day?.plan == null ? null : (
        <Suspense fallback={null}>
          <DayBoard bay={bay} plan={day.plan} making={day.making} changes={day.changes ?? null} now={now} />
        </Suspense>
      )}
      <div className="grid flex-1 grid-cols-[minmax(0,1fr)] lg:grid-cols-[minmax(0,1fr)_19.75rem]">
        <div className="min-w-0">
          {here.length === 0 ? (
            <NothingYet
              sentence={say`No vehicle is here today.`}
              next={say`Take one in with “New job”, or wait for those that will come.`}
            />
          ) : (
            here.map(({ job, parts }) => (
              <VehicleHere
                key={job.id}
                shop={bay.shop}
                job={job}
                parts={parts}
                people={bay.people}
                now={now}
                fewParts={here.length > 3 ? 1 : 3}
              />
            ))
          )}
          <ComingVehicles jobs={coming} />
        </div>
        <aside className="border-t border-hair bg-paper lg:border-l lg:border-t-0">
          {day?.plan == null ? (
            <NextForPeople bay={{ ...bay, jobs: here }} />
          ) : (
            <Suspense fallback={null}>
              <NextInPlan bay={bay} plan={day.plan} now={now} />
            </Suspense>
          )}
          <Drying parts={waits} all={bay.jobs.flatMap((j) => j.parts)} now={now} />
        </aside>
      </div>
    </div>
  )
}

/** The air that plans and waits count on. */
function Room({ bay }: { readonly bay: Bay }) {
  const job = bay.jobs[0]?.job
  return job === undefined ? null : <RoomAir job={job} />
}

function NextForPeople({ bay }: { readonly bay: Bay }) {
  const t = useWords()
  const rows = bay.people.filter(worksHere).map((person) => {
    const mine = bay.jobs.filter(({ job }) => job.personId === person.id).flatMap(({ parts }) => parts)
    return { person, next: nextPart(mine) }
  })
  return (
    <section aria-labelledby="next-title" className="border-b border-hair px-5 py-4">
      <h2 id="next-title" className="label-strong text-body">{t`Who does what next`}</h2>
      <ul className="mt-2 space-y-2.5">
        {rows.map(({ person, next }) => (
          <li key={person.id} className="leading-snug">
            <span className="font-bold">{person.name}</span>{' '}
            <span className="text-quiet">{t(roleWords[person.role])}</span>
            <br />
            {next === null ? <span className="text-quiet">{t`free`}</span> : <span>{t(nextWords(next))}</span>}
          </li>
        ))}
      </ul>
    </section>
  )
}

const nextPart = (parts: readonly PartProgress[]) =>
  parts.find((p) => p.state === 'fitting') ?? parts.find((p) => p.state === 'waiting') ?? null

const nextWords = (part: PartProgress): Sentence =>
  part.state === 'fitting'
    ? say`${name(part.name)}: ${part.nextStep ?? say`last step`}`
    : say`${name(part.name)}: open the lay sheet`
