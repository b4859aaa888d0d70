import { useWords } from '../../ui/words.ts'
import type { Job, PartProgress, Person } from '@truelay/contract'
import { clock, name, say, type Sentence } from '@truelay/core/say'
import type { FormDoc } from '@truelay/core/form'
import { isSameDay } from 'date-fns'
import { useState } from 'react'
import { Link } from 'react-router'
import { PartShape } from '../../drawings/PartShape.tsx'
import { useJobQuery } from '../../remote/api.ts'
import { buttonClass } from '../../ui/Button.tsx'
import { dayText } from '../../ui/clockText.ts'

interface VehicleHereProps {
  readonly job: Job
  readonly parts: readonly PartProgress[]
  readonly people: readonly Person[]
  readonly now: Date
}

const leavesText = (dueAt: string, now: Date) =>
  isSameDay(new Date(dueAt), now) ? say`at ${clock(dueAt)}` : say`on ${name(dayText(dueAt))} at ${clock(dueAt)}`

const fewParts = 3
const rank = { fitting: 0, waiting: 1, done: 2 } as const

/** One vehicle with its parts and the next step of each. */
export function VehicleHere({ job, parts, people, now }: VehicleHereProps) {
  const t = useWords()
  const { data: bundle } = useJobQuery(job.id)
  const formOf = (partId: string) => {
    const part = bundle?.parts.find((p) => p.id === partId)
    return bundle?.forms.find((f) => f.id === part?.formId)
  }
  const done = parts.filter((p) => p.state === 'done').length
  const next = parts.find((p) => p.state === 'fitting') ?? parts.find((p) => p.state === 'waiting')
  // A vehicle with many parts shows those that matter now.
  const [all, setAll] = useState(false)
  const ranked = [...parts].sort((a, b) => rank[a.state] - rank[b.state])
  const shown = all || parts.length <= fewParts ? parts : ranked.slice(0, fewParts)
  const person = people.find((p) => p.id === job.personId)
  return (
    <section aria-label={`${job.vehicle.model}, ${job.vehicle.plate}`} className="border-b border-hair">
      <div className="flex flex-wrap items-baseline justify-between gap-x-6 px-6 pt-5">
        <h2 className="text-title font-bold">
          {job.vehicle.model}
          <span className="pl-3 text-body font-normal text-quiet">
            {job.vehicle.colour}, {job.vehicle.plate}
          </span>
        </h2>
        <p className="text-quiet">
          {t`${job.bay}, ${person?.name}. Job ${job.number}, ${job.customer},`}{' '}
          <a
            href={`/api/jobs/${job.id}`}
            download={`job-${job.number}.json`}
            className="text-petrol underline underline-offset-2"
          >{t`save as file`}</a>
        </p>
      </div>
      <p className="px-6 pb-1 text-body">
        {t`${done} of ${parts.length} parts done, must leave`} <strong>{t(leavesText(job.dueAt, now))}</strong>
        {new Date(job.dueAt) < now ? <strong className="text-amber"> {t`(that has passed)`}</strong> : null}
      </p>
      <nav
        aria-label={t`Stages of job ${job.number}`}
        className="label-strong flex gap-5 px-6 pt-1 text-body text-petrol"
      >
        <Link
          to={`/jobs/${job.id}/walk-round`}
          className="flex min-h-11 items-center underline underline-offset-4"
        >{t`Walk-round`}</Link>
        <Link
          to={`/jobs/${job.id}/kit`}
          className="flex min-h-11 items-center underline underline-offset-4"
        >{t`Kit`}</Link>
        <Link
          to={`/jobs/${job.id}/waits`}
          className="flex min-h-11 items-center underline underline-offset-4"
        >{t`Waits`}</Link>
      </nav>
      <ul className="mt-1">
        {shown.map((part) => (
          <PartRow key={part.partId} part={part} form={formOf(part.partId)} isNext={part === next} now={now} />
        ))}
      </ul>
      {parts.length > shown.length ? (
        <button
          type="button"
          onClick={() => setAll(true)}
          className="label-strong min-h-12 w-full border-t border-hair px-6 text-left text-body text-petrol"
        >{t`${parts.length - shown.length} more parts`}</button>
      ) : null}
    </section>
  )
}

function PartRow({
  part,
  form,
  isNext,
  now,
}: {
  readonly part: PartProgress
  readonly form: FormDoc | undefined
  readonly isNext: boolean
  readonly now: Date
}) {
  const t = useWords()
  return (
    <li
      className={`grid grid-cols-[11rem_1fr_auto] items-center gap-x-7 border-t border-hair px-6 py-4 ${isNext ? 'bg-paper' : ''}`}
    >
      {form === undefined ? <span /> : <PartShape form={form} className="h-30 w-44" />}
      <div className="min-w-0">
        <p className="text-note text-quiet">
          <span className="label-strong text-body text-ink">{part.name}</span>, {part.filmName}
        </p>
        <p className={`font-bold leading-tight ${isNext ? 'text-title' : 'text-lead'}`}>{t(headline(part))}</p>
        <Progress part={part} now={now} />
      </div>
      <div className="flex flex-col items-stretch gap-2">
        {part.state === 'fitting' ? (
          <Link to={`/jobs/${part.jobId}/fit/${part.partId}`} className={buttonClass('go')}>{t`Go on`}</Link>
        ) : null}
        {part.state === 'done' ? (
          <Link to={`/jobs/${part.jobId}/record/${part.partId}`} className={buttonClass('plain')}>{t`Record`}</Link>
        ) : (
          <Link
            to={`/jobs/${part.jobId}/lay-sheets/${part.partId}`}
            className={buttonClass(part.state === 'waiting' && isNext ? 'go' : 'plain')}
          >{t`Lay sheet`}</Link>
        )}
      </div>
    </li>
  )
}

function headline(part: PartProgress): Sentence {
  if (part.state === 'done') return part.finishedAt === null ? say`Done` : say`Done at ${clock(part.finishedAt)}`
  if (part.state === 'fitting') return part.nextStep ?? say`Last step`
  return say`See how it will lie, then fit`
}

function Progress({ part, now }: { readonly part: PartProgress; readonly now: Date }) {
  const t = useWords()
  if (part.state === 'waiting') return <p className="mt-1 text-body text-quiet">{t`Not begun`}</p>
  return (
    <div className="mt-2 flex items-center gap-3">
      <div className="flex h-2 max-w-96 flex-1 gap-px" aria-hidden="true">
        {Array.from({ length: part.stepsTotal }, (_, i) => (
          <span key={i} className={`flex-1 ${i < part.stepsDone ? 'bg-petrol' : 'bg-hair'}`} />
        ))}
      </div>
      <span className="label text-note text-quiet">
        {part.readyAt !== null && new Date(part.readyAt) > now
          ? t`${part.stepsDone} of ${part.stepsTotal} steps, drying until ${clock(part.readyAt)}`
          : t`${part.stepsDone} of ${part.stepsTotal} steps`}
      </span>
    </div>
  )
}
