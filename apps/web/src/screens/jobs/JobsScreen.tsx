import { type JobState, jobStates, type ListedJob } from '@truelay/contract'
import { name, say, type Sentence, counted } from '@truelay/core/say'
import { Plus } from 'lucide-react'
import { useDeferredValue, useState } from 'react'
import { Link, useSearchParams } from 'react-router'
import { failureOf } from '../../remote/failureOf.ts'
import { useJobsQuery } from '../../remote/jobsApi.ts'
import { Button, buttonClass } from '../../ui/Button.tsx'
import { Choice } from '../../ui/Choice.tsx'
import { shortDayText } from '../../ui/clockText.ts'
import { Busy, Failed } from '../../ui/Failed.tsx'
import { SearchInput } from '../../ui/SearchInput.tsx'
import { Title } from '../../ui/Title.tsx'
import { useWords } from '../../ui/words.ts'
import { ForgetCustomer } from './ForgetCustomer.tsx'

const stateWords: Readonly<Record<JobState, Sentence>> = {
  all: say`all`,
  open: say`open`,
  closed: say`handed over`,
  removed: say`removed`,
}

const asState = (text: string | null): JobState => jobStates.find((state) => state === text) ?? 'all'

/** Every job of the shop: found by what one remembers of it. What is looked for stands in the address, so Back comes back to it. */
export function JobsScreen() {
  const t = useWords()
  const [params, setParams] = useSearchParams()
  const [text, setText] = useState(params.get('text') ?? '')
  const [plate, customer] = [params.get('plate') ?? undefined, params.get('customer') ?? undefined]
  const state = asState(params.get('state'))
  const page = Math.max(1, Number(params.get('page')) || 1)
  const look = (more: Readonly<Record<string, string>>) =>
    setParams(
      (before) => {
        const next = new URLSearchParams(before)
        for (const [key, value] of Object.entries(more))
          if (value === '') next.delete(key)
          else next.set(key, value)
        return next
      },
      { replace: true },
    )
  const sought = useDeferredValue(text)
  const { data, error, isFetching } = useJobsQuery({
    text: sought,
    state,
    page,
    ...(plate === undefined ? {} : { plate }),
    ...(customer === undefined ? {} : { customer }),
  })
  return (
    <div className="mx-auto max-w-[80rem] px-6 py-5">
      <header className="flex flex-wrap items-end justify-between gap-4">
        <div>
          <Title>
            {plate !== undefined
              ? t`All that was done to ${plate}`
              : customer !== undefined
                ? t`All jobs for ${customer}`
                : t`Jobs`}
          </Title>
          {plate === undefined && customer === undefined ? null : (
            <Link to="/jobs" className="label text-body text-petrol underline">{t`All jobs`}</Link>
          )}
          {customer === undefined ? null : <ForgetCustomer customer={customer} />}
        </div>
        <Link to="/jobs/new" className={`${buttonClass('go')} min-h-13`}>
          <Plus size={20} /> {t`New job`}
        </Link>
      </header>
      <div className="mt-4 flex flex-wrap items-center gap-4">
        <div className="min-w-72 flex-1">
          <SearchInput
            label={t`Look for a job`}
            examples={t`Plate, customer, model, lot, or a day as 2026-05-01`}
            value={text}
            most={80}
            onChange={(sought) => {
              setText(sought)
              look({ text: sought, page: '' })
            }}
          />
        </div>
        <Choice
          label={t`Which jobs`}
          value={state}
          onChange={(next) => look({ state: next === 'all' ? '' : next, page: '' })}
          options={jobStates.map((value) => ({ value, text: t(stateWords[value]) }))}
        />
      </div>
      {data === undefined ? (
        error === undefined ? (
          <Busy text={t`Looking`} />
        ) : (
          <Failed {...failureOf(error)} />
        )
      ) : (
        <>
          <p role="status" className="mt-4 text-body text-quiet">
            {data.total === 0 ? t`None found. Try fewer letters, or another list.` : t`${data.total} found`}
          </p>
          <ul className={isFetching ? 'opacity-60' : ''}>
            {data.jobs.map((listed) => (
              <JobRow key={listed.job.id} listed={listed} />
            ))}
          </ul>
          {data.pages > 1 ? (
            <nav aria-label={t`Pages`} className="mt-4 flex items-center gap-4">
              <Button disabled={page <= 1} onClick={() => look({ page: String(page - 1) })}>{t`Later ones`}</Button>
              <span className="text-body text-quiet">{t`page ${data.page} of ${data.pages}`}</span>
              <Button
                disabled={page >= data.pages}
                onClick={() => look({ page: String(page + 1) })}
              >{t`Earlier ones`}</Button>
            </nav>
          ) : null}
        </>
      )}
    </div>
  )
}

function JobRow({ listed: { job, person, parts, done } }: { readonly listed: ListedJob }) {
  const t = useWords()
  const stands: Sentence =
    job.removedAt !== null
      ? say`removed on ${name(shortDayText(job.removedAt))}`
      : job.closedAt !== null
        ? say`handed over on ${name(shortDayText(job.closedAt))}`
        : say`open`
  return (
    <li className="border-b border-hair">
      <Link
        to={`/jobs/${job.id}`}
        className="grid min-h-15 items-center gap-x-6 px-2 py-2 hover:bg-petrol-tint sm:grid-cols-[5rem_1.4fr_1.3fr_1fr_1fr]"
      >
        <span className="label text-body text-quiet">{job.number}</span>
        <span className="leading-tight">
          <span className="block text-lead font-bold">{job.vehicle.model}</span>
          <span className="text-body text-quiet">
            {job.vehicle.plate}
            {job.vehicle.colour === '' ? '' : `, ${job.vehicle.colour}`}
          </span>
        </span>
        <span className="text-body leading-tight">{job.customer}</span>
        <span className="text-body leading-tight">
          {shortDayText(job.arrivedAt)}
          <span className="block text-quiet">{person}</span>
        </span>
        <span className="text-body leading-tight">
          {t(stands)}
          <span className="block text-quiet">{t`${done} of ${counted(parts, '# part', '# parts')} done`}</span>
        </span>
      </Link>
    </li>
  )
}
