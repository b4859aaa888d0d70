import {
  type AskedPromise,
  type DayPlan,
  type DayTried,
  type DayWishes,
  dayChangesOf,
  type EarliestPromise,
  type ShopDayPlan,
} from '@truelay/contract'
import type { StepOutline } from '@truelay/core/shopDay'
import { createHash } from 'node:crypto'
import { eq } from 'drizzle-orm'
import { readBayLooks } from '../bay/bayLooks.ts'
import type { Database } from '../database/openDatabase.ts'
import { readEachStored, toStored } from '../database/stored.ts'
import { readPeople } from '../shop/people.ts'
import { readShop } from '../shop/queries.ts'
import { draftBundle } from './draftBundle.ts'
import { type Gathered, gatherDay } from './gatherDay.ts'
import { beforeOf, planOf } from './planOf.ts'
import { type DayAsked, type DayReckoned, type Pace, reckonDay } from './reckonDay.ts'
import { dayPlanRows } from './table.ts'
import { readWishes } from './wishes.ts'

/** What takes time by itself is reckoned anew at the latest after so long, ms: waits go on, people stand at their work. */
const oldMs = 5 * 60_000
const rows = { kept: 'kept', morning: 'morning' } as const

export type Reckon = (asked: DayAsked) => Promise<DayReckoned | null>

/**
 * Keeps the plan of the day. Where it is not of what the shop has to do now, who asks gets the plan that stands pushed through what has happened,
 * at once; and a better one is looked for meanwhile.
 */
export class DayKeeper {
  private searching: Promise<void> | null = null
  /** For what a better plan was looked for last, and when. */
  private searched: { readonly of: string; readonly at: number } | null = null
  private pushing: Promise<void> | null = null
  /** Steps by what their part was planned from. */
  private readonly steps = new Map<string, readonly StepOutline[]>()
  private paces: Readonly<Record<string, Pace>> = {}

  constructor(
    private readonly database: Database,
    private readonly now: () => Date,
    private readonly reckon: Reckon | null,
    private readonly failed: (error: unknown) => void = () => {},
  ) {}

  async answer(): Promise<ShopDayPlan> {
    const wishes = await readWishes(this.database)
    if (this.reckon !== null) await this.keepUp(this.reckon, wishes)
    const [{ plan }, morning] = await Promise.all([this.standing(), this.morning()])
    return {
      plan,
      making: this.searching !== null,
      wishes,
      changes: plan === null || morning === null ? null : dayChangesOf(morning, plan),
    }
  }

  /** Until what is being looked for is there. */
  async settled(): Promise<void> {
    await this.searching
  }

  /** What the plan would be with other wishes, pushed through as it stands; nothing is kept. */
  async tried(wishes: DayWishes): Promise<DayTried> {
    const { plan } = await this.standing()
    let gathered = await this.gathered(wishes, plan)
    if (hasUnknown(gathered.asked) && this.searching !== null) {
      // After a restart the steps of parts are known when the first search has ended.
      await this.settled()
      gathered = await this.gathered(wishes, plan)
    }
    const pushed = (day: Gathered): DayPlan | null => {
      const reckoned = reckonDay({ ...withoutUnknown(day.asked), ...this.pushed(plan, day) }, () => 0)
      return reckoned === null ? null : planOf(day, reckoned)
    }
    // Both from now and alike, so that only the change is between them.
    const without = pushed(await this.gathered(await readWishes(this.database), plan))?.promises ?? []
    const would = pushed(gathered)
    if (would === null) return { without, plan: null, done: [] }
    const { late, promises, endsAt } = would
    return {
      without,
      plan: { late, ...(promises === undefined ? {} : { promises }), endsAt },
      done: wishes.pins.flatMap(({ partId }) => {
        const ends = would.works.filter((work) => work.partId === partId).map(({ endAt }) => endAt)
        const at = ends.sort().at(-1)
        return at === undefined ? [] : [{ partId, at }]
      }),
    }
  }

  /** When a vehicle that is not taken in yet could be promised for, beside all that the shop has to do. */
  async promise(asked: AskedPromise): Promise<EarliestPromise> {
    const draft = await draftBundle(this.database, asked)
    const { plan } = await this.standing()
    const gathered = await gatherDay(this.database, {
      now: this.now(),
      stepsOf: (key) => this.steps.get(key),
      wishes: await readWishes(this.database),
      stands: plan,
      also: draft,
    })
    const unknown = gathered.leftOut.filter(({ jobId }) => jobId === draft.job.id).length
    const reckoned = await this.reckon?.({
      ...gathered.asked,
      asksHelp: false,
      before: beforeOf(plan, gathered.from),
    })
    const found = reckoned?.promises.find(({ jobId }) => jobId === draft.job.id)
    const at = (minute: number) => new Date(gathered.from.getTime() + minute * 60_000).toISOString()
    return found === undefined
      ? { readyAt: null, sureAt: null, unknown }
      : { readyAt: at(found.readyMinute), sureAt: at(found.sureMinute), unknown }
  }

  private async keepUp(reckon: Reckon, wishes: DayWishes): Promise<void> {
    const { row, plan } = await this.standing()
    const of = await this.whatToDo(wishes)
    const now = this.now().getTime()
    const old = plan === null || now - new Date(plan.madeAt).getTime() > oldMs
    if (plan !== null && (old || row?.of !== of)) {
      this.pushing ??= this.push(plan, of, wishes)
        .catch(this.failed)
        .finally(() => {
          this.pushing = null
        })
      await this.pushing
    }
    const due = this.searched?.of !== of || now - this.searched.at > oldMs
    if (this.searching !== null || !due) return
    this.searched = { of, at: now }
    this.searching = this.search(reckon, of, wishes)
      .catch(this.failed)
      .finally(() => {
        this.searching = null
      })
  }

  private gathered(wishes: DayWishes, stands: DayPlan | null): Promise<Gathered> {
    return gatherDay(this.database, { now: this.now(), stepsOf: (key) => this.steps.get(key), wishes, stands })
  }

  private pushed(plan: DayPlan | null, { from }: Gathered): Pick<DayAsked, 'seconds' | 'known' | 'before'> {
    return { seconds: 0, known: this.paces, before: beforeOf(plan, from) }
  }

  /** The plan that stands, with what has happened: nobody waits for a search. Left out where a part is not planned yet. */
  private async push(plan: DayPlan, of: string, wishes: DayWishes): Promise<void> {
    const gathered = await this.gathered(wishes, plan)
    if (hasUnknown(gathered.asked)) return
    const reckoned = reckonDay({ ...gathered.asked, ...this.pushed(plan, gathered) }, () => 0)
    if (reckoned === null) return
    const pushed = planOf(gathered, reckoned)
    // What helped before helps still, until the next search has looked.
    const helps = plan.helps !== undefined && pushed.late.length > 0 ? { helps: plan.helps } : {}
    await this.save(rows.kept, of, toStored('dayPlan', { ...pushed, ...helps }))
  }

  private async search(reckon: Reckon, of: string, wishes: DayWishes): Promise<void> {
    const { plan } = await this.standing()
    const gathered = await this.gathered(wishes, plan)
    const reckoned = await reckon({ ...gathered.asked, before: beforeOf(plan, gathered.from) })
    if (reckoned === null) {
      this.failed(new Error('no plan of the day was found'))
      return
    }
    for (const [part, key] of gathered.keys) this.steps.set(key, reckoned.steps[part] ?? [])
    this.paces = reckoned.paces
    // What has happened meanwhile was not in it: the next search takes that up.
    if ((await this.whatToDo(await readWishes(this.database))) !== of) {
      this.searched = null
      if (plan !== null) return
    }
    const document = toStored('dayPlan', planOf(gathered, reckoned))
    await this.save(rows.kept, of, document)
    if (plan === null) {
      // When film lies is known from now on, and with it how long it has to stay indoors: once more, and that is the plan of the morning.
      this.searched = null
      return
    }
    const day = dayOf(gathered.from)
    const [first] = await this.database.read.select().from(dayPlanRows).where(eq(dayPlanRows.id, rows.morning))
    if (first?.of !== day) await this.save(rows.morning, day, document)
  }

  private save(id: string, of: string, document: ReturnType<typeof toStored>): Promise<unknown> {
    return this.database.write((db) =>
      db
        .insert(dayPlanRows)
        .values({ id, of, document })
        .onConflictDoUpdate({ target: dayPlanRows.id, set: { of, document } }),
    )
  }

  private async standing() {
    const [row] = await this.database.read.select().from(dayPlanRows).where(eq(dayPlanRows.id, rows.kept))
    const plan = row === undefined ? null : (readEachStored(this.database, 'dayPlan', [row])[0] ?? null)
    return { row, plan }
  }

  /** The first plan of today. */
  private async morning(): Promise<DayPlan | null> {
    const [row] = await this.database.read.select().from(dayPlanRows).where(eq(dayPlanRows.id, rows.morning))
    if (row === undefined || row.of !== dayOf(this.now())) return null
    return readEachStored(this.database, 'dayPlan', [row])[0] ?? null
  }

  private async whatToDo(wishes: DayWishes): Promise<string> {
    const [shop, people, looks] = await Promise.all([
      readShop(this.database),
      readPeople(this.database),
      readBayLooks(this.database),
    ])
    return createHash('sha256')
      .update(JSON.stringify([shop, people, looks, wishes]))
      .digest('hex')
  }
}

const hasUnknown = ({ jobs }: Gathered['asked']): boolean =>
  jobs.some(({ parts }) => parts.some(({ steps }) => steps === null))

/** Without the parts of which the steps are not known: to plan them takes seconds, and the server answers others meanwhile. */
const withoutUnknown = (asked: Gathered['asked']): Gathered['asked'] => ({
  ...asked,
  jobs: asked.jobs.map((job) => ({ ...job, parts: job.parts.filter(({ steps }) => steps !== null) })),
})

/** A day by the clock of the shop. */
const dayOf = (at: Date) => `${at.getFullYear()}-${at.getMonth() + 1}-${at.getDate()}`
