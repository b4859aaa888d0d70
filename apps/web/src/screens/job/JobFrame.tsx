import { Title } from '../../ui/Title.tsx'
import { name, say, type Sentence } from '@truelay/core/say'
import { useWords } from '../../ui/words.ts'
import { type JobBundle, jobId as jobIdSchema, type Part } from '@truelay/contract'
import { useEffect } from 'react'
import { NavLink, Outlet, useOutletContext, useParams } from 'react-router'
import { useJobQuery } from '../../remote/jobApi.ts'
import { failureOf } from '../../remote/failureOf.ts'
import { Busy, Failed } from '../../ui/Failed.tsx'
import { ToBay } from '../../ui/ToBay.tsx'
import { useOpenInSight } from '../../ui/useOpenInSight.ts'
import { warmLayWorker } from '../../workers/openLayWorker.ts'
import { useLayAhead } from './useLayAhead.ts'
import { RoomAir } from '../frame/RoomAir.tsx'

interface JobContext {
  readonly bundle: JobBundle
  /** The part that the address names; on the stages that are about the whole vehicle, its first part. */
  readonly part: Part
}

export const useJobContext = () => useOutletContext<JobContext>()

/** The head of a job: vehicle, the stages of the work in their order. */
export function JobFrame() {
  const t = useWords()
  const { jobId = '', partId } = useParams()
  const id = jobIdSchema.safeParse(jobId)
  const { data: bundle, error } = useJobQuery(id.success ? id.data : jobIdSchema.parse('none'), { skip: !id.success })
  // Whoever has a job open will ask for one of its parts.
  useEffect(() => {
    const soon = setTimeout(warmLayWorker, 500)
    return () => clearTimeout(soon)
  }, [])
  if (!id.success) return <NoSuch what={say`a job "${name(jobId)}"`} />
  if (bundle === undefined)
    return error === undefined ? (
      <Busy text={t`Opening the job`} />
    ) : (
      <Failed {...failureOf(error)}>
        <ToBay />
      </Failed>
    )
  const part = partId === undefined ? bundle.parts[0] : bundle.parts.find((p) => p.id === partId)
  if (part === undefined) return <NoSuch what={say`a part "${name(partId ?? '')}" in job ${name(bundle.job.number)}`} />
  const { job } = bundle
  const person = bundle.people.find((p) => p.id === job.personId)
  return (
    <div className="flex min-h-full flex-col lg:h-full lg:min-h-[43.75rem] print:min-h-0">
      <header className="no-print flex flex-wrap items-stretch gap-x-4 border-b border-hair bg-paper px-5">
        <div className="py-1.5">
          <p className="label text-note text-quiet">{t`Job ${job.number}, ${job.customer}, ${job.vehicle.plate}`}</p>
          <Title look="bar">
            {job.vehicle.model}
            {partId === undefined ? '' : `, ${part.name}`}
          </Title>
        </div>
        <Stages job={job.id} part={part.id} />
        <div className="label ml-auto flex items-center gap-3 text-note text-quiet">
          {job.bay}
          <RoomAir job={job} />
          {person?.name}
        </div>
      </header>
      {partId === undefined && job.closedAt === null ? <LaidAhead bundle={bundle} part={part} /> : null}
      <Outlet context={{ bundle, part } satisfies JobContext} />
    </div>
  )
}

/** The stages that are about the whole vehicle lead on to a part. */
function LaidAhead({ bundle, part }: JobContext) {
  useLayAhead(bundle, part)
  return null
}

/** The stages of the work in their order; on a phone they scroll sideways. */
function Stages({ job, part }: { readonly job: string; readonly part: string }) {
  const t = useWords()
  const row = useOpenInSight()
  return (
    <nav ref={row} aria-label={t`Stages of the job`} className="flex max-w-full overflow-x-auto">
      <Stage to={`/jobs/${job}`} end text={t`Job`} />
      <Stage to={`/jobs/${job}/walk-round`} text={t`Walk-round`} />
      <Stage to={`/jobs/${job}/kit`} text={t`Kit`} />
      <Stage to={`/jobs/${job}/lay-sheets/${part}`} text={t`Lay sheet`} />
      <Stage to={`/jobs/${job}/waits`} text={t`Waits`} />
      <Stage to={`/jobs/${job}/fit/${part}`} text={t`Fit`} />
      <Stage to={`/jobs/${job}/record/${part}`} text={t`Record`} />
      <Stage to={`/jobs/${job}/hand-over`} text={t`Hand over`} />
    </nav>
  )
}

function Stage({ to, text, end = false }: { readonly to: string; readonly text: string; readonly end?: boolean }) {
  return (
    <NavLink
      to={to}
      end={end}
      className={({ isActive }) =>
        `label-strong flex min-h-13 items-center whitespace-nowrap border-b-4 px-2 text-body ${isActive ? 'border-petrol text-petrol' : 'border-transparent text-quiet hover:text-petrol'}`
      }
    >
      {text}
    </NavLink>
  )
}

function NoSuch({ what }: { readonly what: Sentence }) {
  return (
    <Failed sentence={say`There is no such thing as ${what}.`} fix={say`Go to the bay and choose a vehicle there.`}>
      <ToBay />
    </Failed>
  )
}
