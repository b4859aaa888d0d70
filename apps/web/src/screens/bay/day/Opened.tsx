import { type Bay, type DayWishes, type PartProgress, type Person, worksHere } from '@truelay/contract'
import { name, say, type Sentence } from '@truelay/core/say'
import { addDays, addMinutes, startOfDay } from 'date-fns'
import { useState } from 'react'
import { Link } from 'react-router'
import { useDayTriedQuery } from '../../../remote/dayApi.ts'
import { Button } from '../../../ui/Button.tsx'
import { clockText } from '../../../ui/clockText.ts'
import { whenWords } from '../../../ui/minutesWords.ts'
import { wayToPart } from '../../../ui/wayToPart.ts'
import { useWords } from '../../../ui/words.ts'
import { WhatFailed } from '../../frame/WhatFailed.tsx'
import { costWords } from './costWords.ts'
import type { Bar } from './dayLanes.ts'
import { useWishes, withPin } from './useWishes.ts'

type Pin = DayWishes['pins'][number]

interface OpenedProps {
  readonly bar: Bar
  readonly parts: ReadonlyMap<string, PartProgress>
  readonly bay: Bay
  readonly now: Date
  /** As it was dragged to; null where it was only tapped. */
  readonly dragged: Pin | null
  readonly onClose: () => void
}

/** What a bar stands for: when, what, with whom, why not earlier; the way there; and who else could do it, or when else, with what that costs. */
export function Opened({ bar, parts, bay, now, dragged, onClose }: OpenedProps) {
  const t = useWords()
  const { wishes, wish, isLoading, error } = useWishes()
  const [first] = bar.works
  const part = parts.get(first?.partId ?? '')
  const standing = wishes.pins.find(({ partId }) => partId === part?.partId) ?? null
  const [draft, setDraft] = useState<Pin | null>(dragged)
  if (first === undefined || part === undefined) return null
  const vehicle = bay.jobs.find(({ job }) => job.id === part.jobId)?.job.vehicle
  const people = bay.people.filter(worksHere)
  const does = people.filter(({ id }) => bar.works.some((work) => work.people.includes(id)))
  const pin = draft ?? standing ?? { partId: part.partId, personId: null, notBefore: null }
  const begins = new Date(first.startAt)
  const later = [
    { to: addMinutes(begins, 30), says: say`30 min later` },
    { to: addMinutes(begins, 60), says: say`1 h later` },
    { to: addDays(startOfDay(begins), 1), says: say`another day` },
  ]
  const said = wishWords(pin, part.name, people, now)
  return (
    <div className="mt-2 border-l-8 border-amber bg-amber-tint px-4 py-2">
      <div className="flex flex-wrap items-center gap-x-6 gap-y-1">
        <div className="min-w-0">
          <p className="text-lead font-bold">
            {part.name}{' '}
            <span className="font-normal text-quiet">
              {vehicle?.model}, {vehicle?.plate}
            </span>
          </p>
          <p className="text-body">
            {t`${clockText(first.startAt)} to ${clockText(bar.works.at(-1)?.endAt ?? first.endAt)}: ${first.says}`}{' '}
            <span className="text-quiet">{t`(${does.map((person) => person.name).join(', ')})`}</span>
          </p>
          <p className="text-body text-quiet">{t`Not earlier: ${first.because}.`}</p>
        </div>
        <Link
          to={wayToPart(part)}
          className="label-strong inline-flex min-h-12 items-center border border-ink/50 bg-paper px-4 text-body sm:ml-auto"
        >
          {part.state === 'fitting' ? t`Go on` : t`Lay sheet`}
        </Link>
      </div>
      <div className="mt-2 flex flex-wrap items-center gap-2" role="group" aria-label={t`Otherwise`}>
        <span className="text-body text-quiet">{t`Otherwise:`}</span>
        {people.map((person) => (
          <Choice
            key={person.id}
            on={pin.personId === person.id}
            onTap={() => setDraft({ ...pin, personId: pin.personId === person.id ? null : person.id })}
          >
            {person.name}
          </Choice>
        ))}
        <span aria-hidden="true" className="mx-1 h-8 w-px bg-ink/30" />
        {later.map(({ to, says }) => (
          <Choice
            key={t(says)}
            on={pin.notBefore === to.toISOString()}
            onTap={() => setDraft({ ...pin, notBefore: pin.notBefore === to.toISOString() ? null : to.toISOString() })}
          >
            {t(says)}
          </Choice>
        ))}
      </div>
      {draft === null ? null : (
        <div className="mt-2 flex flex-wrap items-start gap-x-6 gap-y-2">
          <Cost partId={part.partId} wishes={withPin(wishes, draft)} bay={bay} now={now} said={said} />
          <span className="flex gap-2 sm:ml-auto">
            <Button
              look="go"
              disabled={isLoading}
              onClick={async () => {
                await wish(withPin(wishes, draft), said)
                setDraft(null)
                onClose()
              }}
            >{t`Do it so`}</Button>
            <Button
              onClick={() => {
                setDraft(null)
                if (dragged !== null) onClose()
              }}
            >{t`Leave it`}</Button>
          </span>
        </div>
      )}
      <WhatFailed error={error} className="mt-2" />
    </div>
  )
}

interface ChoiceProps {
  readonly on: boolean
  readonly onTap: () => void
  readonly children: string
}

const Choice = ({ on, onTap, children }: ChoiceProps) => (
  <button
    type="button"
    aria-pressed={on}
    onClick={onTap}
    className={`label-strong min-h-11 border px-3 text-body ${on ? 'border-petrol bg-petrol text-on-petrol' : 'border-ink/50 bg-paper'}`}
  >
    {children}
  </button>
)

/** What is wished for a part, as one says it. */
export function wishWords({ personId, notBefore }: Pin, part: string, people: readonly Person[], now: Date): Sentence {
  const who = people.find(({ id }) => id === personId)?.name
  const when = notBefore === null ? null : name(whenWords(new Date(notBefore), now))
  if (who !== undefined && when !== null) return say`${name(part)}: ${name(who)}, from ${when}.`
  if (who !== undefined) return say`${name(part)}: ${name(who)}.`
  return when === null ? say`${name(part)}: as the plan has it.` : say`${name(part)}: from ${when}.`
}

interface CostProps {
  readonly partId: Pin['partId']
  readonly wishes: DayWishes
  readonly bay: Bay
  readonly now: Date
  readonly said: Sentence
}

/** What it would cost: answered while one looks, the rest of the plan in its order. */
function Cost({ partId, wishes, bay, now, said }: CostProps) {
  const t = useWords()
  const { data, error, isFetching } = useDayTriedQuery(wishes)
  if (error !== undefined) return <WhatFailed error={error} />
  const done = data?.done.find((one) => one.partId === partId)?.at
  const costs =
    data?.plan == null
      ? []
      : costWords(
          data.without,
          data.plan.promises ?? [],
          bay.jobs.map(({ job }) => job),
          now,
        )
  return (
    <div className="min-w-0 text-body" role="status">
      <p className="font-bold">
        {t(said)} {done === undefined || isFetching ? '' : t`Done about ${whenWords(new Date(done), now)}.`}
      </p>
      {isFetching || data === undefined ? (
        <p className="text-quiet">{t`Looking what it costs`}</p>
      ) : data.plan === null ? (
        <p>{t`The rest of the plan cannot stay as it is with that; another one is looked for when you do it.`}</p>
      ) : costs.length === 0 ? (
        <p>{t`It costs nothing: every vehicle is ready as before.`}</p>
      ) : (
        <ul>
          {costs.map((cost) => (
            <li key={t(cost)}>{t(cost)}</li>
          ))}
        </ul>
      )}
    </div>
  )
}
