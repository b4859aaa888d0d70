import { useWords } from '../../ui/words.ts'
import type { Job, PartProgress, PartShape as Shape, Person, Shop } from '@truelay/contract'
import { comeBackWords, faultWords } from '@truelay/core/judge'
import { clauses, clock, count, counted, name, say, type Sentence } from '@truelay/core/say'
import { isSameDay } from 'date-fns'
import { lazy, Suspense, useState } from 'react'
import { Link } from 'react-router'
import { PartShape } from '../../drawings/PartShape.tsx'
import { useForecastQuery } from '../../remote/airApi.ts'
import { buttonClass } from '../../ui/Button.tsx'
import { dayText } from '../../ui/clockText.ts'
import { useShapesOf } from './useShapesOf.ts'

/** It needs the waits of the trade: loaded only where there is a forecast to hold a promise against. */
const PromiseKept = lazy(async () => ({ default: (await import('./PromiseKept.tsx')).PromiseKept }))

interface VehicleHereProps {
  readonly shop: Shop
  readonly job: Job
  readonly parts: readonly PartProgress[]
  readonly people: readonly Person[]
  readonly now: Date
  /** So many parts are shown until somebody asks for all of them. */
  readonly fewParts: number
}

const leavesText = (dueAt: string, now: Date) =>
  isSameDay(new Date(dueAt), now) ? say`at ${clock(dueAt)}` : say`on ${name(dayText(dueAt))} at ${clock(dueAt)}`

const rank = { fitting: 0, waiting: 1, done: 2 } as const

/** One vehicle with its parts and the next step of each. */
export function VehicleHere({ shop, job, parts, people, now, fewParts }: VehicleHereProps) {
  const t = useWords()
  const { data: forecast } = useForecastQuery(undefined, { pollingInterval: 600_000 })
  const done = parts.filter((p) => p.state === 'done').length
  const next = parts.find((p) => p.state === 'fitting') ?? parts.find((p) => p.state === 'waiting')
  // A vehicle with many parts shows those that matter now.
  const [all, setAll] = useState(false)
  const ranked = [...parts].sort((a, b) => rank[a.state] - rank[b.state])
  const shown = all || parts.length <= fewParts ? parts : ranked.slice(0, fewParts)
  const person = people.find((p) => p.id === job.personId)
  const shapeOf = useShapesOf(shown)
  return (
    <section aria-label={`${job.vehicle.model}, ${job.vehicle.plate}`} className="border-b border-hair">
      <div className="flex flex-wrap items-baseline gap-x-6 px-6 pt-3">
        <h2 className="text-title font-bold leading-tight">
          <Link to={`/jobs/${job.id}`} className="hover:text-petrol hover:underline">
            {job.vehicle.model}
          </Link>
          <span className="pl-3 text-body font-normal text-quiet">
            {job.vehicle.colour}, {job.vehicle.plate}
          </span>
        </h2>
        <p className="text-quiet sm:ml-auto">{t`${job.bay}, ${person?.name}. Job ${job.number}, ${job.customer}`}</p>
      </div>
      <div className="flex flex-wrap items-center gap-x-6 px-6">
        <p className="text-body">
          {t`${done} of ${counted(parts.length, '# part', '# parts')} done, must leave`}{' '}
          <strong>{t(leavesText(job.dueAt, now))}</strong>
          {new Date(job.dueAt) < now ? <strong className="text-amber"> {t`(that has passed)`}</strong> : null}
        </p>
        <nav
          aria-label={t`Stages of job ${job.number}`}
          className="label-strong flex gap-5 sm:ml-auto text-body text-petrol"
        >
          <StageLink to={`/jobs/${job.id}/walk-round`} text={t`Walk-round`} />
          <StageLink to={`/jobs/${job.id}/kit`} text={t`Kit`} />
          <StageLink to={`/jobs/${job.id}/waits`} text={t`Waits`} />
          <StageLink to={`/jobs/${job.id}`} text={t`Job`} />
          <StageLink to={`/jobs/${job.id}/hand-over`} text={t`Hand over`} />
        </nav>
      </div>
      {forecast?.value == null ? null : (
        <Suspense fallback={null}>
          <PromiseKept job={job} shop={shop} parts={parts} now={now} />
        </Suspense>
      )}
      <ul>
        {shown.map((part) => (
          <PartRow
            key={part.partId}
            part={part}
            visit={job.visitOf !== undefined}
            shape={shapeOf(part)}
            isNext={part === next}
            now={now}
          />
        ))}
      </ul>
      {parts.length > shown.length ? (
        <button
          type="button"
          onClick={() => setAll(true)}
          className="label-strong min-h-11 w-full border-t border-hair px-6 text-left text-body text-petrol"
        >{t`${counted(parts.length - shown.length, '# more part', '# more parts')}`}</button>
      ) : null}
    </section>
  )
}

const StageLink = ({ to, text }: { readonly to: string; readonly text: string }) => (
  <Link to={to} className="flex min-h-11 items-center underline underline-offset-4">
    {text}
  </Link>
)

function PartRow({
  part,
  visit,
  shape,
  isNext,
  now,
}: {
  readonly part: PartProgress
  /** A come-back visit to what lies already. */
  readonly visit: boolean
  readonly shape: Shape | undefined
  readonly isNext: boolean
  readonly now: Date
}) {
  const t = useWords()
  return (
    <li
      className={`grid grid-cols-[4rem_1fr] items-center gap-x-4 sm:grid-cols-[5.5rem_1fr_auto] sm:gap-x-5 border-t border-hair px-6 py-1.5 ${isNext ? 'bg-paper' : ''}`}
    >
      {shape === undefined ? (
        <span />
      ) : (
        <PartShape form={shape} className={`w-16 sm:w-22 ${isNext ? 'h-16' : 'h-12'}`} />
      )}
      <div className="min-w-0">
        <p className="text-note text-quiet">
          <span className="label-strong text-body text-ink">{part.name}</span>, {part.filmName}
        </p>
        <p className={`font-bold leading-tight ${isNext ? 'text-title' : 'text-body'}`}>{t(headline(part, visit))}</p>
        <Progress part={part} now={now} />
        <Open part={part} />
      </div>
      <div className="col-start-2 flex flex-wrap items-center gap-2 sm:col-start-auto sm:justify-end">
        {part.state === 'fitting' ? (
          <Link to={`/jobs/${part.jobId}/fit/${part.partId}`} className={buttonClass('go')}>{t`Go on`}</Link>
        ) : null}
        {part.state === 'done' ? (
          <Link to={`/jobs/${part.jobId}/record/${part.partId}`} className={buttonClass('plain')}>{t`Record`}</Link>
        ) : visit ? (
          part.state === 'fitting' ? null : (
            <Link
              to={`/jobs/${part.jobId}/fit/${part.partId}`}
              className={buttonClass(isNext ? 'go' : 'plain')}
            >{t`Begin the visit`}</Link>
          )
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

/** What stands open of a part besides its steps. */
function Open({ part }: { readonly part: PartProgress }) {
  const t = useWords()
  const { comeBacks = [], awaits } = part
  return (
    <>
      {awaits === undefined ? null : (
        <p className="mt-1 border-l-5 border-stop pl-2 text-body font-bold text-stop">
          {awaits === 'roll'
            ? t`A new piece is to be cut from the roll: ${part.filmName}`
            : t`To be laid again with the spare`}
        </p>
      )}
      {comeBacks.length === 0 ? null : (
        <p className="mt-1 border-l-5 border-amber pl-2 text-body text-amber-ink">
          {t`To come back to: ${clauses(comeBacks.slice(0, fewShown).map(({ problem, place, when }) => say`${faultWords(problem)}, ${name(place)}, ${comeBackWords[when]}`))}`}
          {comeBacks.length > fewShown ? t` and ${count(comeBacks.length - fewShown)} more` : null}
        </p>
      )}
    </>
  )
}
const fewShown = 2

function headline(part: PartProgress, visit: boolean): Sentence {
  if (part.state === 'done') return part.finishedAt === null ? say`Done` : say`Done at ${clock(part.finishedAt)}`
  if (part.state === 'fitting') return part.nextStep ?? say`Last step`
  if (visit) return say`Walk its edges again, settle what was left open`
  return part.formId === null ? say`Measure it, then see how it will lie` : say`See how it will lie, then fit`
}

function Progress({ part, now }: { readonly part: PartProgress; readonly now: Date }) {
  const t = useWords()
  if (part.state === 'waiting') return null
  return (
    <div className="mt-1 flex items-center gap-3">
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
