import type { Bay, DayPlan, Job, PartProgress } from '@truelay/contract'
import { worksHere } from '@truelay/contract'
import { counted, name, say, type Sentence } from '@truelay/core/say'
import { format, isSameDay } from 'date-fns'
import { useState } from 'react'
import { Link } from 'react-router'
import { clockText } from '../../../ui/clockText.ts'
import { wayToPart } from '../../../ui/wayToPart.ts'
import { whenWords } from '../../../ui/minutesWords.ts'
import { useWords } from '../../../ui/words.ts'
import { WorkLists } from './WorkLists.tsx'
import { type Bar, dayLanes, type PersonLane, plannedDays, type VehicleLane } from './dayLanes.ts'

interface DayBoardProps {
  readonly bay: Bay
  readonly plan: DayPlan
  /** A new one is being made. */
  readonly making: boolean
  readonly now: Date
}

/** The day as a board: people and vehicles over the hours, what dries, and what cannot be kept. */
export function DayBoard({ bay, plan, making, now }: DayBoardProps) {
  const t = useWords()
  const days = plannedDays(plan)
  const [chosen, setChosen] = useState<Date | null>(null)
  const [open, setOpen] = useState<Bar | null>(null)
  const [asList, setAsList] = useState(false)
  const day = days.find((one) => chosen !== null && isSameDay(one, chosen)) ?? days[0]
  if (day === undefined) return null
  const jobs = bay.jobs.map(({ job }) => job)
  const lanes = dayLanes({ plan, day, now, hours: bay.shop.hours, people: bay.people.filter(worksHere), jobs })
  const shadeOf = (job: string) => shades[jobs.findIndex(({ id }) => id === job) % shades.length] ?? shades[0]
  const parts = new Map(bay.jobs.flatMap((one) => one.parts).map((part) => [part.partId, part]))
  return (
    <section aria-label={t`Plan of the day`} className="border-b border-hair bg-paper px-6 pb-4 pt-3">
      <div className="flex flex-wrap items-center gap-2 pb-1">
        {days.map((one) => (
          <button
            key={one.toISOString()}
            type="button"
            aria-pressed={one === day}
            onClick={() => {
              setChosen(one)
              setOpen(null)
            }}
            className={`label-strong min-h-11 border-b-4 px-2 text-body ${one === day ? 'border-petrol text-petrol' : 'border-transparent text-quiet'}`}
          >
            {isSameDay(one, now) ? t`Today` : format(one, 'EEE d MMM')}
          </button>
        ))}
        <button
          type="button"
          onClick={() => setAsList(!asList)}
          className="label-strong hidden min-h-11 px-2 text-body text-petrol underline underline-offset-4 sm:ml-auto sm:block"
        >
          {asList ? t`As a board` : t`As lists`}
        </button>
        <p className="text-body text-quiet">
          {making ? t`Being planned anew` : t`All done ${whenWords(new Date(plan.endsAt), now)}`}
        </p>
      </div>
      <div className={asList ? 'hidden' : 'hidden grid-cols-[8.5rem_1fr] items-center gap-x-3 gap-y-1.5 sm:grid'}>
        <span />
        <HourMarks hours={lanes.hours} />
        {lanes.people.map((lane) => (
          <PersonRow
            key={lane.person.id}
            lane={lane}
            now={lanes.now}
            parts={parts}
            shadeOf={shadeOf}
            open={open}
            onOpen={setOpen}
          />
        ))}
        {lanes.vehicles.map((lane) => (
          <VehicleRow key={lane.job.id} lane={lane} now={lanes.now} shade={shadeOf(lane.job.id)} />
        ))}
      </div>
      <div className={asList ? '' : 'sm:hidden'}>
        <WorkLists lanes={lanes.people} parts={parts} now={now} />
      </div>
      {open === null || asList ? null : <Opened bar={open} parts={parts} bay={bay} />}
      <Late plan={plan} jobs={jobs} now={now} />
      {plan.leftOut.length === 0 ? null : (
        <p className="mt-1 text-body text-quiet">{t`${counted(plan.leftOut.length, '# part is', '# parts are')} not in this plan: not measured yet, or a visit.`}</p>
      )}
    </section>
  )
}

/** By these a vehicle is known again in the work of people. */
const shades = ['bg-petrol', 'bg-petrol-deep', 'bg-violet', 'bg-good'] as const

const share = (of: number) => `${(100 * of).toFixed(3)}%`

function HourMarks({ hours }: { readonly hours: readonly { readonly at: number; readonly hour: string }[] }) {
  return (
    <div className="relative h-6" aria-hidden="true">
      {hours.map(({ at, hour }) => (
        <span key={hour} className="absolute -translate-x-1/2 text-note text-quiet" style={{ left: share(at) }}>
          {hour}
        </span>
      ))}
    </div>
  )
}

const NowLine = ({ now }: { readonly now: number | null }) =>
  now === null ? null : (
    <span aria-hidden="true" className="absolute inset-y-[-3px] z-10 w-0.5 bg-amber" style={{ left: share(now) }} />
  )

interface PersonRowProps {
  readonly lane: PersonLane
  readonly now: number | null
  readonly parts: ReadonlyMap<string, PartProgress>
  readonly shadeOf: (jobId: string) => string
  readonly open: Bar | null
  readonly onOpen: (bar: Bar | null) => void
}

function PersonRow({ lane: { person, bars }, now, parts, shadeOf, open, onOpen }: PersonRowProps) {
  const t = useWords()
  return (
    <>
      <p className="truncate text-lead font-bold">{person.name}</p>
      <ul className="relative h-11 bg-bench" aria-label={t`Work of ${person.name}`}>
        {bars.map((bar) => {
          const [first] = bar.works
          const called = parts.get(first?.partId ?? '')?.name ?? ''
          const on = open?.works[0]?.id === first?.id && open !== null
          return (
            <li
              key={first?.id}
              className="absolute inset-y-0"
              style={{ left: share(bar.from), width: share(bar.to - bar.from) }}
            >
              {bar.to - bar.from < widthOfFinger ? (
                <span
                  className={`block h-full border-r border-paper ${on ? 'bg-amber' : shadeOf(first?.jobId ?? '')}`}
                />
              ) : (
                <button
                  type="button"
                  aria-label={t`${called}, ${clockText(first?.startAt ?? '')} to ${clockText(bar.works.at(-1)?.endAt ?? '')}`}
                  aria-pressed={on}
                  onClick={() => onOpen(on ? null : bar)}
                  className={`h-full w-full overflow-hidden border-r border-paper px-1 text-left text-note leading-tight ${on ? 'bg-amber text-paper' : `${shadeOf(first?.jobId ?? '')} text-on-petrol`}`}
                >
                  <span className="line-clamp-2">{bar.to - bar.from > wideEnough ? called : ''}</span>
                </button>
              )}
            </li>
          )
        })}
        <NowLine now={now} />
      </ul>
    </>
  )
}
/** A narrower bar is only drawn: no finger hits it, and it stands in the lists. */
const widthOfFinger = 0.025
/** A narrower bar has no room for a word. */
const wideEnough = 0.045

interface VehicleRowProps {
  readonly lane: VehicleLane
  readonly now: number | null
  readonly shade: string
}

function VehicleRow({ lane, now, shade }: VehicleRowProps) {
  const t = useWords()
  const { job, stay, worked, waits, due } = lane
  return (
    <>
      <p className="flex items-center gap-1.5 truncate text-body leading-tight">
        <span aria-hidden="true" className={`h-4 w-1.5 shrink-0 ${shade}`} />
        <Link to={`/jobs/${job.id}`} className="inline-flex min-h-8 items-center hover:underline">
          {job.vehicle.plate === '' ? job.vehicle.model : job.vehicle.plate}
        </Link>
        <span className="hidden text-quiet sm:inline"> {job.bay}</span>
      </p>
      <div
        className="relative h-8"
        role="img"
        aria-label={t`${job.vehicle.model} ${job.vehicle.plate} in ${job.bay}: ${lane.lateMinutes > 0 ? say`late` : say`in time`}`}
      >
        {stay === null ? null : (
          <span
            className="absolute inset-y-0 bg-bench"
            style={{ left: share(stay.from), width: share(stay.to - stay.from) }}
          />
        )}
        {worked.map(({ from, to }) => (
          <span
            key={`${from} ${to}`}
            className="absolute inset-y-1.5 bg-film"
            style={{ left: share(from), width: share(to - from) }}
          />
        ))}
        {waits.map(({ from, to }) => (
          <span
            key={`${from} ${to}`}
            className="absolute bottom-0 h-1 bg-petrol/60"
            style={{ left: share(from), width: share(to - from) }}
          />
        ))}
        {due === null ? null : (
          <span
            className={`absolute inset-y-0 w-1 ${lane.lateMinutes > 0 ? 'bg-amber' : 'bg-good'}`}
            style={{ left: `calc(${share(due)} - 2px)` }}
          />
        )}
        <NowLine now={now} />
      </div>
    </>
  )
}

interface OpenedProps {
  readonly bar: Bar
  readonly parts: ReadonlyMap<string, PartProgress>
  readonly bay: Bay
}

/** What a bar stands for: when, what, with whom, why not earlier; and the way there. */
function Opened({ bar, parts, bay }: OpenedProps) {
  const t = useWords()
  const [first] = bar.works
  const part = parts.get(first?.partId ?? '')
  if (first === undefined || part === undefined) return null
  const vehicle = bay.jobs.find(({ job }) => job.id === part.jobId)?.job.vehicle
  const with_ = bay.people.filter(({ id }) => bar.works.some(({ people }) => people.includes(id)))
  return (
    <div className="mt-2 flex flex-wrap items-center gap-x-6 gap-y-1 border-l-8 border-amber bg-amber-tint px-4 py-2">
      <div className="min-w-0">
        <p className="text-lead font-bold">
          {part.name}{' '}
          <span className="font-normal text-quiet">
            {vehicle?.model}, {vehicle?.plate}
          </span>
        </p>
        <p className="text-body">
          {t`${clockText(first.startAt)} to ${clockText(bar.works.at(-1)?.endAt ?? first.endAt)}: ${first.says}`}{' '}
          <span className="text-quiet">{t`(${with_.map((person) => person.name).join(', ')})`}</span>
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
  )
}

/** Promises that the plan cannot keep, of whatever day. */
function Late({ plan, jobs, now }: { readonly plan: DayPlan; readonly jobs: readonly Job[]; readonly now: Date }) {
  const t = useWords()
  const late = plan.late.flatMap(({ jobId, minutes }) => {
    const job = jobs.find(({ id }) => id === jobId)
    return job === undefined ? [] : [{ job, minutes }]
  })
  if (late.length === 0) return null
  const words = ({ job, minutes }: (typeof late)[number]): Sentence => {
    const ready = new Date(new Date(job.dueAt).getTime() + minutes * 60_000)
    return say`${name(`${job.vehicle.model} ${job.vehicle.plate}`)} is ready ${name(whenWords(ready, now))}; promised for ${name(whenWords(new Date(job.dueAt), now))}.`
  }
  return (
    <ul className="mt-2 space-y-0.5" aria-label={t`Promises that cannot be kept`}>
      {late.map((one) => (
        <li key={one.job.id} className="border-l-5 border-amber pl-3 text-body font-bold text-amber-ink">
          {t(words(one))}
        </li>
      ))}
    </ul>
  )
}
