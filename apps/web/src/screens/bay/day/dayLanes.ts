import type { DayPlan, DayWishes, DayWork, Job, Person, WeekHours } from '@truelay/contract'
import { addDays, format, startOfDay } from 'date-fns'

/** A stretch of a lane, as shares of its width. */
export interface Stretch {
  readonly from: number
  readonly to: number
}

/** Work of one person at one part without a pause. */
export interface Bar extends Stretch {
  readonly works: readonly DayWork[]
}

export interface PersonLane {
  readonly person: Person
  readonly bars: readonly Bar[]
}

export interface VehicleLane {
  readonly job: Job
  /** How long it stands in its place. */
  readonly stay: Stretch | null
  readonly worked: readonly Stretch[]
  /** Something of it dries, and nobody works at that. */
  readonly waits: readonly Stretch[]
  /** When it must leave, where that is on this day. */
  readonly due: number | null
  readonly leaves: Date | null
  readonly lateMinutes: number
}

export interface DayLanes {
  readonly from: Date
  readonly to: Date
  readonly hours: readonly { readonly at: number; readonly hour: string }[]
  readonly people: readonly PersonLane[]
  readonly vehicles: readonly VehicleLane[]
  /** Where now is; null on another day. */
  readonly now: number | null
}

interface Shown {
  readonly plan: DayPlan
  readonly day: Date
  readonly now: Date
  readonly hours: WeekHours
  readonly people: readonly Person[]
  readonly jobs: readonly Job[]
}

const minuteMs = 60_000
/** Pauses at the same part that are not drawn, minutes. */
const joinedMinutes = 2
/** A wait that is shorter is not drawn, minutes. */
const leastWaitMinutes = 4

/** Days on which anything is planned, the first one first. */
export function plannedDays({ works }: DayPlan): Date[] {
  const days = new Map<string, Date>()
  for (const { startAt, people } of works)
    if (people.length > 0) days.set(format(new Date(startAt), 'yyyy-MM-dd'), startOfDay(new Date(startAt)))
  return [...days].sort(([a], [b]) => a.localeCompare(b)).map(([, day]) => day)
}

/** The plan of one day in lanes: people over the hours, and vehicles in their places with what dries on them. */
export function dayLanes({ plan, day, now, hours, people, jobs }: Shown): DayLanes {
  const works = plan.works.filter((work) => onDay(work, day))
  const [from, to] = shownHours(works, day, hours)
  const at = (moment: Date | string) => (new Date(moment).getTime() - from.getTime()) / (to.getTime() - from.getTime())
  const within = (a: Date | string, b: Date | string): Stretch | null => {
    const [start, end] = [Math.max(0, at(a)), Math.min(1, at(b))]
    return end > start ? { from: start, to: end } : null
  }
  return {
    from,
    to,
    hours: hoursBetween(from, to).map((hour) => ({ at: at(hour), hour: format(hour, 'HH') })),
    people: people.map((person) => ({ person, bars: barsOf(works, person, within) })),
    vehicles: jobs.flatMap((job) => {
      const lane = vehicleLane(plan, job, at, within)
      return lane.stay === null ? [] : [lane]
    }),
    now: now >= from && now <= to ? at(now) : null,
  }
}

const onDay = ({ startAt, endAt }: DayWork, day: Date) => new Date(startAt) < addDays(day, 1) && new Date(endAt) > day

/** The hours of the shop, and further where work is planned outside them. */
function shownHours(works: readonly DayWork[], day: Date, hours: WeekHours): [Date, Date] {
  const open = hours[(day.getDay() + 6) % 7] ?? { from: '08:00', to: '17:00' }
  const moment = (time: string) => {
    const [h = 0, m = 0] = time.split(':').map(Number)
    return new Date(day.getFullYear(), day.getMonth(), day.getDate(), h, m)
  }
  const busy = works.filter(({ people }) => people.length > 0)
  const begins = Math.min(moment(open.from).getTime(), ...busy.map(({ startAt }) => new Date(startAt).getTime()))
  const ends = Math.max(moment(open.to).getTime(), ...busy.map(({ endAt }) => new Date(endAt).getTime()))
  return [new Date(begins), new Date(ends)]
}

function hoursBetween(from: Date, to: Date): Date[] {
  const hours: Date[] = []
  for (let hour = new Date(from).setMinutes(0, 0, 0); hour <= to.getTime(); hour += 60 * minuteMs)
    if (hour >= from.getTime()) hours.push(new Date(hour))
  return hours
}

type Within = (a: Date | string, b: Date | string) => Stretch | null

function barsOf(works: readonly DayWork[], person: Person, within: Within): Bar[] {
  const own = works
    .filter(({ people, partId }) => partId !== null && people.includes(person.id))
    .sort((a, b) => a.startAt.localeCompare(b.startAt))
  const runs: DayWork[][] = []
  for (const work of own) {
    const run = runs.at(-1)
    const last = run?.at(-1)
    const gap = last === undefined ? 0 : new Date(work.startAt).getTime() - new Date(last.endAt).getTime()
    if (last?.partId === work.partId && gap <= joinedMinutes * minuteMs) run?.push(work)
    else runs.push([work])
  }
  return runs.flatMap((run) => {
    const stretch = within(run[0]?.startAt ?? '', run.at(-1)?.endAt ?? '')
    return stretch === null ? [] : [{ ...stretch, works: run }]
  })
}

function vehicleLane(plan: DayPlan, job: Job, at: (moment: string) => number, within: Within): VehicleLane {
  const own = plan.works.filter(({ jobId }) => jobId === job.id)
  const comes = own.find(({ id }) => id === `${job.id} comes`)?.startAt
  const leaves = own.find(({ id }) => id === `${job.id} leaves`)?.startAt
  const parts = [...new Set(own.flatMap(({ partId }) => (partId === null ? [] : [partId])))]
  const due = at(job.dueAt)
  return {
    job,
    stay: comes === undefined || leaves === undefined ? null : within(comes, leaves),
    worked: together(
      own.flatMap(({ partId, startAt, endAt }) => {
        const stretch = partId === null ? null : within(startAt, endAt)
        return stretch === null ? [] : [stretch]
      }),
    ),
    waits: together(
      parts.flatMap((part) =>
        waitsOf(
          own.filter(({ partId }) => partId === part),
          within,
        ),
      ),
    ),
    due: due >= 0 && due <= 1 ? due : null,
    leaves: leaves === undefined ? null : new Date(leaves),
    lateMinutes: plan.late.find(({ jobId }) => jobId === job.id)?.minutes ?? 0,
  }
}

/** Stretches that overlap or touch are one: several parts of a vehicle are worked at, or dry, at once. */
export function together(stretches: readonly Stretch[]): Stretch[] {
  const joined: Stretch[] = []
  for (const stretch of [...stretches].sort((a, b) => a.from - b.from)) {
    const last = joined.at(-1)
    if (last === undefined || stretch.from > last.to) joined.push(stretch)
    else joined[joined.length - 1] = { from: last.from, to: Math.max(last.to, stretch.to) }
  }
  return joined
}

function waitsOf(works: readonly DayWork[], within: Within): Stretch[] {
  const sorted = [...works].sort((a, b) => a.startAt.localeCompare(b.startAt))
  return sorted.flatMap((work, k) => {
    const next = sorted[k + 1]
    if (next === undefined) return []
    const gap = new Date(next.startAt).getTime() - new Date(work.endAt).getTime()
    const stretch = gap < leastWaitMinutes * minuteMs ? null : within(work.endAt, next.startAt)
    return stretch === null ? [] : [stretch]
  })
}

/** What somebody does now or next. */
export const nextWork = ({ works }: DayPlan, person: Person['id'], now: Date): DayWork | null =>
  works
    .filter(({ partId, people, endAt }) => partId !== null && people.includes(person) && new Date(endAt) > now)
    .sort((a, b) => a.startAt.localeCompare(b.startAt))[0] ?? null

/** A bar that was let go over a row: by how far, and over whose. */
interface Dropped {
  readonly delta: { readonly x: number }
  readonly over: { readonly id: string | number; readonly rect: { readonly width: number } } | null
}

/** To so many minutes a dragged bar is set; less is a hand that was not steady. */
const draggedMinutes = 10

/** What is wished for a part whose bar was dragged: other hands, a later hour, or both; null where neither. */
export function droppedAt(
  { works }: Pick<Bar, 'works'>,
  { delta, over }: Dropped,
  { from, to, people }: Pick<DayLanes, 'from' | 'to' | 'people'>,
): DayWishes['pins'][number] | null {
  const [first] = works
  const person = people.find((lane) => lane.person.id === over?.id)?.person
  if (first === undefined || first.partId === null || over === null || person === undefined) return null
  const minutes = ((delta.x / over.rect.width) * (to.getTime() - from.getTime())) / minuteMs
  const later = Math.round(minutes / draggedMinutes) * draggedMinutes
  const other = !works.some(({ people: own }) => own.includes(person.id))
  if (!other && later < draggedMinutes) return null
  const notBefore = new Date(new Date(first.startAt).getTime() + later * minuteMs)
  return {
    partId: first.partId,
    personId: other ? person.id : null,
    notBefore: later < draggedMinutes ? null : notBefore.toISOString(),
  }
}
