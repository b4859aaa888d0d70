import {
  DndContext,
  type DragEndEvent,
  MouseSensor,
  TouchSensor,
  useDraggable,
  useDroppable,
  useSensor,
  useSensors,
} from '@dnd-kit/core'
import type { Bay, DayChanges, DayPlan, DayWishes, PartProgress, Person } from '@truelay/contract'
import { worksHere } from '@truelay/contract'
import { counted, minutes, say } from '@truelay/core/say'
import { format, isSameDay } from 'date-fns'
import { useState } from 'react'
import { Link } from 'react-router'
import { clockText } from '../../../ui/clockText.ts'
import { whenWords } from '../../../ui/minutesWords.ts'
import { useWords } from '../../../ui/words.ts'
import { AwayFor } from './AwayFor.tsx'
import { type Bar, dayLanes, droppedAt, type PersonLane, plannedDays, type VehicleLane } from './dayLanes.ts'
import { Opened } from './Opened.tsx'
import { Overdue } from './Overdue.tsx'
import { Promises } from './Promises.tsx'
import { SinceMorning } from './SinceMorning.tsx'
import { TodayTaught } from './TodayTaught.tsx'
import { Wished } from './Wished.tsx'
import { WorkLists } from './WorkLists.tsx'

interface DayBoardProps {
  readonly bay: Bay
  readonly plan: DayPlan
  /** A better one is being looked for. */
  readonly making: boolean
  /** What is otherwise since the first plan of the day. */
  readonly changes: DayChanges | null
  readonly now: Date
}

/** What is open below the board: a bar, perhaps where it was dragged to, or somebody's absence. */
type Open = { readonly bar: Bar; readonly dragged: DayWishes['pins'][number] | null } | { readonly person: Person }

/** The day as a board: people and vehicles over the hours, what dries, and what cannot be kept. */
export function DayBoard({ bay, plan, making, changes, now }: DayBoardProps) {
  const t = useWords()
  const days = plannedDays(plan)
  const [chosen, setChosen] = useState<Date | null>(null)
  const [open, setOpen] = useState<Open | null>(null)
  const [asList, setAsList] = useState(false)
  const day = days.find((one) => chosen !== null && isSameDay(one, chosen)) ?? days[0]
  const sensors = useSensors(
    useSensor(MouseSensor, { activationConstraint: { distance: 8 } }),
    // A finger that scrolls drags nothing.
    useSensor(TouchSensor, { activationConstraint: { delay: 250, tolerance: 8 } }),
  )
  if (day === undefined) return null
  const jobs = bay.jobs.map(({ job }) => job)
  const lanes = dayLanes({ plan, day, now, hours: bay.shop.hours, people: bay.people.filter(worksHere), jobs })
  const shadeOf = (job: string) => shades[jobs.findIndex(({ id }) => id === job) % shades.length] ?? shades[0]
  const dropped = (event: DragEndEvent) => {
    const bar = event.active.data.current?.bar as Bar | undefined
    const dragged = bar === undefined ? null : droppedAt(bar, event, lanes)
    if (bar !== undefined && dragged !== null) setOpen({ bar, dragged })
  }
  const stale = !making && now.getTime() - new Date(plan.madeAt).getTime() > staleMs
  const openBar = open !== null && 'bar' in open ? open.bar : null
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
          {stale ? (
            <strong className="text-amber-ink">{t`As it was at ${whenWords(new Date(plan.madeAt), now)}: nothing newer was found.`}</strong>
          ) : making ? (
            t`A better plan is being looked for`
          ) : (
            t`All done ${whenWords(new Date(plan.endsAt), now)}`
          )}
        </p>
      </div>
      <Overdue plan={plan} parts={parts} />
      <DndContext
        sensors={sensors}
        onDragEnd={dropped}
        autoScroll={false}
        accessibility={{
          restoreFocus: false,
          // Whoever does not see it taps: what a drag does stands below the board as well.
          screenReaderInstructions: { draggable: t`A tap opens it: who else could do it, and when else.` },
          announcements: silent,
        }}
      >
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
              open={openBar}
              onOpen={(bar) => setOpen(bar === null ? null : { bar, dragged: null })}
              onName={() => setOpen({ person: lane.person })}
            />
          ))}
          {lanes.vehicles.map((lane) => (
            <VehicleRow key={lane.job.id} lane={lane} now={lanes.now} shade={shadeOf(lane.job.id)} />
          ))}
        </div>
      </DndContext>
      <div className={asList ? '' : 'sm:hidden'}>
        <WorkLists lanes={lanes.people} parts={parts} now={now} />
      </div>
      {open === null || asList ? null : 'bar' in open ? (
        <Opened
          key={`${open.bar.works[0]?.id} ${open.dragged?.personId} ${open.dragged?.notBefore}`}
          bar={open.bar}
          parts={parts}
          bay={bay}
          now={now}
          dragged={open.dragged}
          onClose={() => setOpen(null)}
        />
      ) : (
        <AwayFor person={open.person} now={now} onClose={() => setOpen(null)} />
      )}
      <Wished bay={bay} parts={parts} now={now} />
      <Promises plan={plan} jobs={jobs} now={now} />
      {plan.helps === undefined ? null : (
        <p className="mt-1 text-body">
          <span className="text-quiet">{t`What would help most:`}</span>{' '}
          {t`${plan.helps.says}; ${minutes(plan.helps.minutes)} less late altogether.`}
        </p>
      )}
      {changes === null ? null : (
        <SinceMorning changes={changes} jobs={jobs} people={bay.people} partName={(id) => parts.get(id)?.name} />
      )}
      <TodayTaught />
      {plan.leftOut.length === 0 ? null : (
        <p className="mt-1 text-body text-quiet">{t`${counted(plan.leftOut.length, '# part is', '# parts are')} not in this plan: not measured yet, or a visit.`}</p>
      )}
    </section>
  )
}

/** It is pushed through every five minutes: an older one could not be. */
const staleMs = 12 * 60_000

const nothing = () => undefined
const silent = { onDragStart: nothing, onDragOver: nothing, onDragEnd: nothing, onDragCancel: nothing }

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
  readonly onName: () => void
}

function PersonRow({ lane: { person, bars }, now, parts, shadeOf, open, onOpen, onName }: PersonRowProps) {
  const t = useWords()
  const { setNodeRef, isOver } = useDroppable({ id: person.id })
  return (
    <>
      <button
        type="button"
        aria-label={t`${person.name}: not here?`}
        onClick={onName}
        className="min-h-11 truncate text-left text-lead font-bold hover:underline"
      >
        {person.name}
      </button>
      <ul
        ref={setNodeRef}
        className={`relative h-11 ${isOver ? 'bg-petrol-tint' : 'bg-bench'}`}
        aria-label={t`Work of ${person.name}`}
      >
        {bars.map((bar) => {
          const [first] = bar.works
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
                <BarButton
                  bar={bar}
                  called={parts.get(first?.partId ?? '')?.name ?? ''}
                  shade={shadeOf(first?.jobId ?? '')}
                  on={on}
                  of={person.id}
                  onTap={() => onOpen(on ? null : bar)}
                />
              )}
            </li>
          )
        })}
        <NowLine now={now} />
      </ul>
    </>
  )
}

interface BarButtonProps {
  readonly bar: Bar
  readonly called: string
  readonly shade: string
  readonly on: boolean
  /** In whose row it stands: a step for two stands in two. */
  readonly of: string
  readonly onTap: () => void
}

/** A bar that a finger hits: a tap opens it, and it can be dragged to somebody else or to a later hour. */
function BarButton({ bar, called, shade, on, of, onTap }: BarButtonProps) {
  const t = useWords()
  const [first] = bar.works
  const { setNodeRef, listeners, transform, isDragging } = useDraggable({ id: `${of} ${first?.id}`, data: { bar } })
  return (
    <button
      ref={setNodeRef}
      {...listeners}
      type="button"
      aria-label={t`${called}, ${clockText(first?.startAt ?? '')} to ${clockText(bar.works.at(-1)?.endAt ?? '')}`}
      aria-pressed={on}
      onClick={onTap}
      style={transform === null ? undefined : { transform: `translate(${transform.x}px, ${transform.y}px)` }}
      className={`h-full w-full touch-manipulation overflow-hidden border-r border-paper px-1 text-left text-note leading-tight ${isDragging ? 'relative z-20 shadow-lg' : ''} ${on ? 'bg-amber text-paper' : `${shade} text-on-petrol`}`}
    >
      <span className="line-clamp-2">{bar.to - bar.from > wideEnough ? called : ''}</span>
    </button>
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
