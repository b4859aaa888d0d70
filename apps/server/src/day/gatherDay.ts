import {
  closedTimes,
  type DayPlan,
  type DayWishes,
  hasSkill,
  jobId as jobIdOf,
  type JobBundle,
  type Person,
  type Shop,
  worksHere,
} from '@truelay/contract'
import { practiceWith } from '@truelay/core/practice'
import type { StepOutline } from '@truelay/core/shopDay'
import { readBundle } from '../bundle/readBundle.ts'
import type { Database } from '../database/openDatabase.ts'
import { readDevice } from '../devices/queries.ts'
import { readOpenJobs } from '../jobs/queries.ts'
import { readFacts } from '../memory/readFacts.ts'
import { readPeople } from '../shop/people.ts'
import { readShop } from '../shop/queries.ts'
import { type ForecastHour, jobAsked } from './jobAsked.ts'
import { gunOf, partAsked } from './partAsked.ts'
import type { DayAsked } from './reckonDay.ts'

/** So far the plan looks ahead. */
const daysAhead = 7
/** Processor time that a plan may take. */
const seconds = 2

export interface Gathered {
  readonly asked: Omit<DayAsked, 'before'>
  readonly from: Date
  readonly leftOut: DayPlan['leftOut']
  /** Of what a part is planned, by part: with the same key its steps are the same. */
  readonly keys: ReadonlyMap<string, string>
  /** What parts are called, and vehicles by their job. */
  readonly names: ReadonlyMap<string, string>
  readonly vehicles: ReadonlyMap<string, string>
  readonly people: ReadonlyMap<string, string>
}

export interface GatherOptions {
  readonly now: Date
  /** Steps of a part that are known already, by the key of what it is planned from. */
  readonly stepsOf: (key: string) => readonly StepOutline[] | undefined
  readonly wishes: DayWishes
  /** The plan that stands: by it a vehicle's film is laid at some time. */
  readonly stands: DayPlan | null
  /** A vehicle that is only asked about. */
  readonly also?: JobBundle | undefined
}

/** What the shop has to do from a moment on, from all open jobs. */
export async function gatherDay(
  database: Database,
  { now, stepsOf, wishes, stands, also }: GatherOptions,
): Promise<Gathered> {
  const from = new Date(Math.floor(now.getTime() / 60_000) * 60_000)
  const until = new Date(from.getTime() + daysAhead * 24 * 60 * 60_000)
  const [shop, people, jobs, { facts }, outside] = await Promise.all([
    readShop(database),
    readPeople(database),
    readOpenJobs(database),
    readFacts(database),
    outsideOf(database, now),
  ])
  const practice = practiceWith(shop.practice)
  const inMinutes = (at: Date | string) => Math.ceil((new Date(at).getTime() - from.getTime()) / 60_000)
  const leftOut: DayPlan['leftOut'] = []
  const keys = new Map<string, string>()
  const coming = jobs.filter(({ arrivedAt }) => new Date(arrivedAt) <= until)
  const bundles = await Promise.all(coming.map(({ id }) => readBundle(database, jobIdOf.parse(id))))
  const all = also === undefined ? bundles : [...bundles, also]
  const toDo = await Promise.all(
    all.map(async (bundle) => {
      const gun = gunOf(shop)
      const parts = await Promise.all(
        bundle.parts.map((part) => partAsked(database, { bundle, part, from, stepsOf, gun, keys, wishes })),
      )
      for (const [k, asked] of parts.entries()) {
        const id = bundle.parts[k]?.id
        if (id !== undefined && typeof asked === 'string' && asked !== 'done')
          leftOut.push({ jobId: bundle.job.id, partId: id, why: asked })
      }
      return jobAsked(database, {
        bundle,
        parts: parts.filter((asked) => typeof asked !== 'string'),
        from,
        practice,
        hours: shop.hours,
        outside,
        laidBy: laidBy(stands, bundle.job.id),
      })
    }),
  )
  return {
    from,
    leftOut,
    keys,
    names: new Map(all.flatMap(({ parts }) => parts.map(({ id, name }) => [id, name]))),
    vehicles: new Map(all.map(({ job }) => [job.id, `${job.vehicle.model} ${job.vehicle.plate}`])),
    people: new Map(people.map(({ id, name }) => [id, name])),
    asked: {
      seconds,
      practice,
      guns: Math.max(1, shop.guns.length),
      paces: facts.map(({ modelId, slot, hand, pace }) => ({ modelId, slot, hand, pace })),
      people: people.filter(worksHere).map((person) => ({
        id: person.id,
        stretches: hasSkill(person, 'stretch film'),
        away: awayOf(person, { shop, wishes, from, until }).map(([a, b]) => [inMinutes(a), inMinutes(b)] as const),
      })),
      jobs: toDo,
    },
  }
}

/** When the last film on a vehicle lies by a plan; null where that has nothing to say. */
function laidBy(plan: DayPlan | null, jobId: string): Date | null {
  const ends = (plan?.works ?? []).flatMap((work) =>
    work.jobId === jobId && work.partId !== null && work.stepIds.length > 0 ? [work.endAt] : [],
  )
  const last = ends.sort().at(-1)
  return last === undefined ? null : new Date(last)
}

interface Span {
  readonly shop: Shop
  readonly wishes: DayWishes
  readonly from: Date
  readonly until: Date
}

/** When somebody is not at work: outside the hours, in the break, and while they are away. */
function awayOf({ id, hours }: Person, { shop, wishes, from, until }: Span): (readonly [from: Date, to: Date])[] {
  const away = wishes.away.filter((one) => one.personId === id && new Date(one.until) > from)
  const last = Math.max(from.getTime(), ...away.map((one) => new Date(one.until).getTime()))
  const closed = closedTimes(hours ?? shop.hours, from, until).filter(([, to]) => to.getTime() > last)
  const here = closed.map(([a, b]) => [a.getTime() < last ? new Date(last) : a, b] as const)
  return last > from.getTime() ? [[from, new Date(last)], ...here] : here
}

/** How warm it becomes outside; null where nobody tells. */
async function outsideOf(database: Database, now: Date): Promise<readonly ForecastHour[] | null> {
  const { state, value } = await readDevice(database, 'forecast', now)
  return state !== 'fresh' || value === null
    ? null
    : value.hours.map(({ at, temperatureC }) => ({ at: new Date(at), temperatureC }))
}
