import { type DayPlan, dayPlan, partId, personId, type ShopDayPlan } from '@truelay/contract'
import type { Sentence } from '@truelay/core/say'
import type { StepOutline } from '@truelay/core/shopDay'
import { createHash } from 'node:crypto'
import { readBayLooks } from '../bay/bayLooks.ts'
import type { Database } from '../database/openDatabase.ts'
import { readEachStored, toStored } from '../database/stored.ts'
import { readPeople } from '../shop/people.ts'
import { readShop } from '../shop/queries.ts'
import { type Gathered, gatherDay } from './gatherDay.ts'
import type { DayAsked, DayReckoned } from './reckonDay.ts'
import { dayPlanRows } from './table.ts'

/** What takes time by itself is reckoned anew at the latest after so long, ms: waits go on, people stand at their work. */
const oldMs = 5 * 60_000
const kept = 'kept'

export type Reckon = (asked: DayAsked) => Promise<DayReckoned | null>

/** Keeps the plan of the day: who asks gets the one that stands, and where it is not of what the shop has to do now, a new one is begun. */
export class DayKeeper {
  private making: Promise<void> | null = null
  /** Steps by what their part was planned from. */
  private readonly steps = new Map<string, readonly StepOutline[]>()

  constructor(
    private readonly database: Database,
    private readonly now: () => Date,
    private readonly reckon: Reckon | null,
    private readonly failed: (error: unknown) => void = () => {},
  ) {}

  async answer(): Promise<ShopDayPlan> {
    const { row, plan } = await this.standing()
    const of = await this.whatToDo()
    const old = plan === null || this.now().getTime() - new Date(plan.madeAt).getTime() > oldMs
    if (this.reckon !== null && this.making === null && (old || row?.of !== of)) {
      this.making = this.make(this.reckon, of)
        .catch(this.failed)
        .finally(() => {
          this.making = null
        })
    }
    return { plan, making: this.making !== null }
  }

  /** Until what is being reckoned is there. */
  async settled(): Promise<void> {
    await this.making
  }

  private async standing() {
    const [row] = await this.database.read.select().from(dayPlanRows)
    const plan = row === undefined ? null : (readEachStored(this.database, 'dayPlan', [row])[0] ?? null)
    return { row, plan }
  }

  private async whatToDo(): Promise<string> {
    const [shop, people, looks] = await Promise.all([
      readShop(this.database),
      readPeople(this.database),
      readBayLooks(this.database),
    ])
    return createHash('sha256')
      .update(JSON.stringify([shop, people, looks]))
      .digest('hex')
  }

  private async make(reckon: Reckon, of: string): Promise<void> {
    const gathered = await gatherDay(this.database, this.now(), (key) => this.steps.get(key))
    const { plan } = await this.standing()
    const reckoned = await reckon({ ...gathered.asked, before: beforeOf(plan, gathered.from) })
    if (reckoned === null) return
    for (const [part, key] of gathered.keys) this.steps.set(key, reckoned.steps[part] ?? [])
    const document = toStored('dayPlan', planOf(gathered, reckoned))
    await this.database.write((db) =>
      db
        .insert(dayPlanRows)
        .values({ id: kept, of, document })
        .onConflictDoUpdate({ target: dayPlanRows.id, set: { of, document } }),
    )
  }
}

function planOf(gathered: Gathered, { order, works, steps }: DayReckoned): DayPlan {
  const { from, leftOut, asked } = gathered
  const at = (minute: number) => new Date(from.getTime() + minute * 60_000).toISOString()
  const by = new Map(order.tasks.map((task) => [task.id, task]))
  const names = new Map(works.map((work) => [work.taskId, work.partId]))
  const called = (id: string) => {
    const part = names.get(id)
    return part === undefined ? id : part === null ? vehicleOf(id, gathered) : (gathered.names.get(part) ?? id)
  }
  const headline = (part: string | null, step: string | undefined) =>
    part === null || step === undefined ? null : (steps[part]?.find(({ id }) => id === step)?.says ?? null)
  const unplanned = asked.jobs.flatMap(({ jobId, parts }) =>
    parts.flatMap(({ partId: part }) => (part in steps ? [] : [{ jobId, partId: part, why: 'cannot be planned' }])),
  )
  return dayPlan.parse({
    madeAt: from.toISOString(),
    works: works.flatMap(({ taskId, jobId, partId: part, stepIds }) => {
      const task = by.get(taskId)
      if (task === undefined) return []
      return [
        {
          id: taskId,
          jobId,
          partId: part === null ? null : partId.parse(part),
          stepIds,
          says: headline(part, stepIds[0]),
          people: task.people.map((id) => personId.parse(id)),
          startAt: at(task.startMinute),
          endAt: at(task.endMinute),
          because: renamed(task.because, called),
        },
      ]
    }),
    late: order.late.flatMap(({ id, minutes }) => {
      const work = works.find(({ taskId, partId: part }) => taskId === id && part === null)
      return work === undefined ? [] : [{ jobId: work.jobId, minutes }]
    }),
    leftOut: [...leftOut, ...unplanned],
    endsAt: at(order.makespanMinutes),
    noSoonerThan: at(order.lowerBoundMinutes),
  })
}

/** The plan that stands, as the next one is held against it. */
const beforeOf = (plan: DayPlan | null, from: Date): DayAsked['before'] =>
  (plan?.works ?? []).map(({ id, jobId, partId: part, stepIds, startAt, people }) => ({
    taskId: id,
    jobId,
    partId: part,
    stepIds,
    people,
    startMinute: (new Date(startAt).getTime() - from.getTime()) / 60_000,
  }))

const vehicleOf = (taskId: string, { vehicles }: Gathered) =>
  [...vehicles].find(([jobId]) => taskId.startsWith(`${jobId} `))?.[1] ?? taskId

/** The same sentence with what it names called otherwise: a plan names its tasks, people know parts. */
const renamed = (sentence: Sentence, called: (name: string) => string): Sentence => ({
  ...sentence,
  with: sentence.with.map((said) => (said.kind === 'name' ? { ...said, name: called(said.name) } : said)),
})
