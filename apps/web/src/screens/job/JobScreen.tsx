import { type Job, type JobBundle, type JobCorrection, type Part, worksHere } from '@truelay/contract'
import { name, say } from '@truelay/core/say'
import { format } from 'date-fns'
import { useState } from 'react'
import { Link } from 'react-router'
import { useShelfQuery } from '../../remote/shelfApi.ts'
import {
  useChangeFilmMutation,
  useCloseJobMutation,
  useCorrectJobMutation,
  useDropPartMutation,
  useRemoveJobMutation,
} from '../../remote/jobsApi.ts'
import { Button, buttonClass } from '../../ui/Button.tsx'
import { dayText } from '../../ui/clockText.ts'
import { Field, SelectInput, TextInput } from '../../ui/Field.tsx'
import { KeptText } from '../../ui/KeptText.tsx'
import { Notice } from '../../ui/Notice.tsx'
import { Heading } from '../../ui/Title.tsx'
import { offerUndo, type UndoOffer } from '../../ui/undoOffer.ts'
import { useWords } from '../../ui/words.ts'
import { AddParts } from './AddParts.tsx'
import { useJobContext } from './JobFrame.tsx'
import { WhatFailed } from '../frame/WhatFailed.tsx'
import { ForRole } from '../frame/ForRole.tsx'

/** Everything that was taken down about a job, to be put right; each change can be taken back. */
export function JobScreen() {
  const { bundle } = useJobContext()
  return <Corrections key={bundle.job.id} bundle={bundle} />
}

const forInput = (moment: string) => format(new Date(moment), "yyyy-MM-dd'T'HH:mm")

function Corrections({ bundle }: { readonly bundle: JobBundle }) {
  const t = useWords()
  const { job } = bundle
  const [correct] = useCorrectJobMutation()
  const [close] = useCloseJobMutation()
  const [remove] = useRemoveJobMutation()
  const [error, setError] = useState<unknown>(undefined)

  const doing = async (work: () => Promise<{ readonly error?: unknown }>, way: UndoOffer) => {
    const outcome = await work()
    setError(outcome.error)
    if (outcome.error === undefined) offerUndo(way)
  }
  const put = (change: JobCorrection, before: JobCorrection) =>
    void doing(() => correct({ id: job.id, change }), {
      said: say`Put right.`,
      back: () => correct({ id: job.id, change: before }),
    })
  const reopen = () =>
    void doing(() => close({ id: job.id, closed: false }), {
      said: say`Open again: it is back in the bay.`,
      back: () => close({ id: job.id, closed: true }),
    })
  const setRemoved = (removed: boolean) =>
    void doing(() => remove({ id: job.id, removed }), {
      said: removed ? say`Removed. Nothing of it is lost.` : say`Back on the list.`,
      back: () => remove({ id: job.id, removed: !removed }),
    })
  return (
    <ForRole least="installer">
      <div className="flex-1 overflow-y-auto px-6 py-5">
        <Stands job={job} />
        {job.visitOf === undefined ? null : (
          <p className="mb-4 text-lead">
            {t`A come-back visit.`}{' '}
            <Link
              to={`/jobs/${job.visitOf}`}
              className="inline-flex min-h-11 items-center text-petrol underline"
            >{t`The job in which it was laid`}</Link>
          </p>
        )}
        <section aria-label={t`The end of the job`} className="mb-5 flex flex-wrap items-center gap-4">
          {job.closedAt === null ? (
            <Link
              to={`/jobs/${job.id}/hand-over`}
              className={`${buttonClass('go')} min-h-13`}
            >{t`Hand over to the customer`}</Link>
          ) : (
            <Button className="min-h-13" onClick={reopen}>{t`Open it again`}</Button>
          )}
          {job.removedAt === null ? (
            <Button look="quiet" onClick={() => setRemoved(true)}>{t`Opened by mistake: remove it`}</Button>
          ) : (
            <Button onClick={() => setRemoved(false)}>{t`Bring it back`}</Button>
          )}
        </section>
        <WhatFailed error={error} className="mb-4 max-w-3xl" />
        <div className="grid gap-x-10 gap-y-6 lg:grid-cols-[24rem_1fr]">
          <section aria-labelledby="head-title" className="space-y-3">
            <Heading id="head-title">{t`Whose and when`}</Heading>
            <HeadFields bundle={bundle} onPut={put} />
            <p className="flex flex-col text-body">
              <Link
                to={`/jobs?plate=${encodeURIComponent(job.vehicle.plate)}`}
                className="flex min-h-11 items-center text-petrol underline"
              >{t`All that was done to ${job.vehicle.plate}`}</Link>
              <Link
                to={`/jobs?customer=${encodeURIComponent(job.customer)}`}
                className="flex min-h-11 items-center text-petrol underline"
              >{t`All jobs for ${job.customer}`}</Link>
              <a
                href={`/api/jobs/${job.id}`}
                download={`job-${job.number}.json`}
                className="flex min-h-11 items-center text-petrol underline"
              >{t`Save the job as a file`}</a>
            </p>
          </section>
          <section aria-labelledby="parts-title">
            <Heading id="parts-title">{t`What is covered`}</Heading>
            <PartRows bundle={bundle} onDone={doing} />
            <AddParts bundle={bundle} />
          </section>
        </div>
      </div>
    </ForRole>
  )
}

/** Whether it is on the list at all. */
function Stands({ job }: { readonly job: Job }) {
  const t = useWords()
  const says =
    job.removedAt !== null
      ? say`This job was removed on ${name(dayText(job.removedAt))}. It stands in no list but that of the removed ones.`
      : job.closedAt !== null
        ? say`Handed over on ${name(dayText(job.closedAt))}.`
        : null
  return says === null ? null : (
    <div className="mb-4 max-w-3xl">
      <Notice look={job.removedAt === null ? 'good' : 'caution'} role="status">
        <span className="text-body">{t(says)}</span>
      </Notice>
    </div>
  )
}

interface HeadFieldsProps {
  readonly bundle: JobBundle
  readonly onPut: (change: JobCorrection, before: JobCorrection) => void
}

function HeadFields({ bundle, onPut }: HeadFieldsProps) {
  const t = useWords()
  const { job, people, shop } = bundle
  const { vehicle } = job
  const fitters = people.filter((p) => worksHere(p) || p.id === job.personId)
  const places = [...new Set([...shop.places.map((p) => p.name), job.bay])].filter((place) => place !== '')
  const moment = (key: 'arrivedAt' | 'dueAt', typed: string) => {
    const at = new Date(typed)
    if (Number.isNaN(at.getTime()) || at.toISOString() === new Date(job[key]).toISOString()) return
    onPut({ [key]: at.toISOString() }, { [key]: job[key] })
  }
  return (
    <>
      <KeptText
        label={t`Customer`}
        value={job.customer}
        maxLength={80}
        needed
        onCommit={(customer) => onPut({ customer }, { customer: job.customer })}
      />
      <KeptText
        label={t`Number plate or fleet number`}
        value={vehicle.plate}
        maxLength={20}
        needed
        onCommit={(plate) => onPut({ plate }, { plate: vehicle.plate })}
      />
      <div className="grid grid-cols-[1fr_6rem] gap-3">
        <KeptText
          label={t`Colour`}
          value={vehicle.colour}
          maxLength={40}
          onCommit={(colour) => onPut({ colour }, { colour: vehicle.colour })}
        />
        <KeptText
          label={t`Year`}
          value={vehicle.year === null ? '' : String(vehicle.year)}
          maxLength={4}
          problemOf={(typed) => (/^(19[5-9]\d|20\d\d|2100)?$/.test(typed) ? null : t`A year such as 2024, or nothing.`)}
          onCommit={(typed) => onPut({ year: typed === '' ? null : Number(typed) }, { year: vehicle.year })}
        />
      </div>
      <Field label={new Date(job.arrivedAt) > new Date() ? t`Comes` : t`Came`}>
        <TextInput
          key={job.arrivedAt}
          type="datetime-local"
          defaultValue={forInput(job.arrivedAt)}
          onBlur={(event) => moment('arrivedAt', event.target.value)}
        />
      </Field>
      <Field label={t`Must leave`}>
        <TextInput
          key={job.dueAt}
          type="datetime-local"
          defaultValue={forInput(job.dueAt)}
          onBlur={(event) => moment('dueAt', event.target.value)}
        />
      </Field>
      <div className="grid grid-cols-2 gap-3">
        <Field label={t`Who fits`}>
          <SelectInput
            value={job.personId}
            onChange={(event) => onPut({ personId: event.target.value as Job['personId'] }, { personId: job.personId })}
          >
            {fitters.map((person) => (
              <option key={person.id} value={person.id}>
                {person.name}
              </option>
            ))}
          </SelectInput>
        </Field>
        <Field label={t`Where`}>
          <SelectInput value={job.bay} onChange={(event) => onPut({ bay: event.target.value }, { bay: job.bay })}>
            {places.map((place) => (
              <option key={place}>{place}</option>
            ))}
          </SelectInput>
        </Field>
      </div>
    </>
  )
}

interface PartRowsProps {
  readonly bundle: JobBundle
  readonly onDone: (work: () => Promise<{ readonly error?: unknown }>, way: UndoOffer) => Promise<void>
}

function PartRows({ bundle, onDone }: PartRowsProps) {
  const t = useWords()
  const { data: shelf } = useShelfQuery()
  const [drop] = useDropPartMutation()
  const [changeFilm] = useChangeFilmMutation()
  const films = shelf?.films ?? bundle.films
  const take = (part: Part, filmId: Part['filmId']) =>
    onDone(() => changeFilm({ id: part.id, filmId }), {
      said: say`${name(part.name)} gets another film.`,
      back: () => changeFilm({ id: part.id, filmId: part.filmId }),
    })
  const leaveOut = (part: Part) =>
    onDone(() => drop({ id: part.id, dropped: true }), {
      said: say`${name(part.name)} is left out.`,
      back: () => drop({ id: part.id, dropped: false }),
    })
  return (
    <ul className="@container mt-2">
      {bundle.parts.map((part) => (
        <li
          key={part.id}
          className="grid items-center gap-x-5 gap-y-1 border-t border-hair py-1.5 @md:grid-cols-[1fr_auto_auto] @2xl:grid-cols-[1fr_18rem_auto_auto]"
        >
          <span className="text-body font-bold leading-tight @md:col-span-3 @2xl:col-span-1">{part.name}</span>
          <SelectInput
            aria-label={t`Film for ${part.name}`}
            value={part.filmId}
            onChange={(event) => void take(part, event.target.value as Part['filmId'])}
          >
            {films.map((film) => (
              <option key={film.id} value={film.id}>
                {film.name}
              </option>
            ))}
          </SelectInput>
          <Link
            to={`/jobs/${bundle.job.id}/lay-sheets/${part.id}`}
            className={buttonClass('quiet')}
          >{t`Lay sheet`}</Link>
          <Button
            look="quiet"
            aria-label={t`Leave out ${part.name}`}
            disabled={bundle.parts.length === 1}
            onClick={() => void leaveOut(part)}
          >{t`Leave out`}</Button>
        </li>
      ))}
    </ul>
  )
}
