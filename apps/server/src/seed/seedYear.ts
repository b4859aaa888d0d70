import { createHash, randomUUID } from 'node:crypto'
import {
  type FitEvent,
  fitEvent,
  jobId,
  keepFit,
  type PartId,
  partPlan,
  partQuestionOf,
  replayFit,
} from '@truelay/contract'
import { anyDay, climb, type PartPlan } from '@truelay/core/plan'
import { seededRandom } from '@truelay/core/numerics'
import { addDays, addHours, setHours, startOfDay } from 'date-fns'
import { count as rowsIn } from 'drizzle-orm'
import { readBundle } from '../bundle/readBundle.ts'
import type { Database, Tables } from '../database/openDatabase.ts'
import { toStored } from '../database/stored.ts'
import { progressOf } from '../fit/progressOf.ts'
import { fitEventRows, fitProgressRows } from '../fit/table.ts'
import { jobs, parts } from '../jobs/table.ts'
import { batchOfEvent } from '../liquids/followFit.ts'
import { batchRows } from '../liquids/table.ts'
import type { PhotoStore } from '../photos/photoStore.ts'
import { findingRows } from '../walkRound/table.ts'
import { eventsOfFit } from './oneFit.ts'

/** How much a busy shop does in a year. */
export interface YearSize {
  readonly jobs: number
  readonly partsEach: number
  /** Jobs that are not closed yet; each has one part in work. */
  readonly open: number
  readonly photos: number
  readonly seed: number
}
export const busyYear: YearSize = { jobs: 2000, partsEach: 5, open: 50, photos: 2000, seed: 7 }

const days = 365
const triangles = 300
const customers = ['Private owner', 'Fleet 27', 'Harbour Vans', 'Estate rental', 'Orchard Cars']
const colours = ['signal white', 'slate grey', 'moss green', 'night blue']
/** Rows of one statement: SQLite takes some thirty thousand values. */
const rowsAtOnce = 400

type Template = typeof parts.$inferSelect & { readonly plan: PartPlan }

/**
 * Adds a year of work to the demo shop: jobs, parts, whole fits with their bottles, findings with photos. From a seed, but for the ids. Does
 * nothing in a shop that has one already. Says how many events there are.
 */
export async function seedYear(database: Database, photos: PhotoStore, now: Date, size: YearSize): Promise<number> {
  const [there] = await database.read.select({ n: rowsIn() }).from(jobs)
  if ((there?.n ?? 0) > 100) return 0
  const chance = seededRandom(size.seed)
  const templates = await templatesOf(database)
  const pictures = await keepPictures(photos, size.photos, chance)
  return database.write(async (db) => {
    let events = 0
    const pile = new Pile(db)
    const [model] = await db.select().from(jobs).limit(1)
    if (model === undefined) throw new Error('the demo shop has no job to begin with')
    for (let n = 0; n < size.jobs; n++) {
      const open = n >= size.jobs - size.open
      const number = String(1000 + n)
      const arrived = setHours(addDays(startOfDay(now), open ? -1 : Math.floor((days * n) / size.jobs) - days), 8)
      const due = addHours(arrived, open ? 60 : 34)
      await pile.put(jobs, {
        ...model,
        id: number,
        number,
        customer: pick(customers, chance),
        colour: pick(colours, chance),
        plate: `QF ${100 + Math.floor(900 * chance())}`,
        arrivedAt: arrived.toISOString(),
        dueAt: due.toISOString(),
        closedAt: open ? null : due.toISOString(),
        signOff: null,
        sets: null,
      })
      for (let place = 0; place < size.partsEach; place++) {
        const { plan, ...template } = pick(templates, chance)
        const partId = `${number}-${String(place + 1).padStart(2, '0')}` as PartId
        await pile.put(parts, { ...template, id: partId, jobId: number, place })
        const steps = !open ? plan.steps.length : place === 0 ? Math.floor(plan.steps.length * chance()) : -1
        if (steps < 0) continue
        const beganAt = addHours(arrived, 1 + 5 * place)
        const log = eventsOfFit(
          { partId, jobNumber: number, place: place + 1, personId: model.personId, plan, beganAt, steps },
          chance,
        )
        events += log.length
        await putFit(pile, partId, log, open)
      }
      const picture = pictures[n]
      if (picture !== undefined) await putFinding(pile, number, model.personId, arrived, picture)
    }
    await pile.end()
    return events
  })
}

const pick = <T>(of: readonly T[], chance: () => number): T => of[Math.floor(chance() * of.length)] as T

/** The parts of the demo shop that can be planned, each with its plan. */
async function templatesOf(database: Database): Promise<Template[]> {
  const rows = await database.read.select().from(parts)
  const templates: Template[] = []
  for (const id of new Set(rows.map((row) => row.jobId))) {
    const bundle = await readBundle(database, jobId.parse(id))
    for (const part of bundle.parts) {
      const row = rows.find((r) => r.id === part.id)
      const question = partQuestionOf(bundle, part)
      const climbed = question === null ? null : climb(question, anyDay, { triangles })
      if (row === undefined || climbed?.ok !== true) continue
      templates.push({ ...row, plan: partPlan.parse(climbed.value.plan) })
    }
  }
  const [first] = templates
  // What is written has to be what the readers take.
  if (first !== undefined)
    for (const event of eventsOfFit(
      {
        partId: first.id as PartId,
        jobNumber: '1',
        place: 1,
        personId: 'ines',
        plan: first.plan,
        beganAt: new Date(),
        steps: 99,
      },
      () => 0.01,
    ))
      fitEvent.parse(event)
  return templates
}

async function putFit(pile: Pile, partId: PartId, log: readonly FitEvent[], open: boolean): Promise<void> {
  for (const event of log) {
    await pile.put(fitEventRows, {
      id: event.id,
      partId,
      kind: event.kind,
      at: event.at,
      retired: false,
      document: toStored('fitEvent', event),
      receivedAt: event.at,
    })
    if (event.kind !== 'batchMixed') continue
    const mixed = batchOfEvent(event)
    const note = { at: event.at, personId: event.personId, what: 'emptied' as const, says: event.says, leftMl: 0 }
    const bottle = open ? mixed : { ...mixed, leftMl: 0, emptiedAt: event.at, history: [...mixed.history, note] }
    await pile.put(batchRows, { id: bottle.id, mixedAt: bottle.mixedAt, document: toStored('batch', bottle) })
  }
  const state = replayFit(log)
  const [begin] = log
  if (state.phase === 'not begun' || begin === undefined) return
  await pile.put(fitProgressRows, {
    partId,
    document: toStored('fitProgress', progressOf(state)),
    state: toStored('fitState', keepFit(state, begin.id)),
  })
}

async function putFinding(pile: Pile, job: string, personId: string, at: Date, photoId: string): Promise<void> {
  const id = randomUUID()
  const document = toStored('finding', {
    id,
    jobId: jobId.parse(job),
    partId: null,
    slot: 'bonnet',
    kind: 'chip',
    at: [0.4, 0.6],
    sizeMm: 4,
    note: '',
    photos: [{ id: photoId, smallId: photoId, widthPx: 150, heightPx: 100 }],
    personId,
    foundAt: at.toISOString(),
    later: false,
  } as never)
  await pile.put(findingRows, { id, jobId: job, document })
}

/** Small pictures that are all different: a JPEG of 150 x 100 with noise in it. */
async function keepPictures(store: PhotoStore, howMany: number, chance: () => number): Promise<string[]> {
  const head = Buffer.from('ffd8ffc0000b080064009601011100ffda0008010100003f00', 'hex')
  const kept: string[] = []
  for (let n = 0; n < howMany; n++) {
    const noise = createHash('sha512').update(String(chance())).digest()
    const body = Buffer.concat(Array.from({ length: 150 }, () => noise)).map((byte) => byte & 0x7f)
    const id = await store.keep(Buffer.concat([head, body, Buffer.from('ffd9', 'hex')]))
    if (id !== null) kept.push(id)
  }
  return kept
}

/** Rows that are written many at a time, in the order of their tables. */
class Pile {
  private readonly piles = new Map<Parameters<Tables['insert']>[0], object[]>()

  constructor(private readonly db: Tables) {}

  async put<T extends Parameters<Tables['insert']>[0]>(table: T, row: T extends { $inferInsert: infer R } ? R : never) {
    const pile = this.piles.get(table) ?? []
    pile.push(row as object)
    this.piles.set(table, pile)
    if (pile.length >= rowsAtOnce) await this.end()
  }

  /** Writes all of it; what others refer to first. */
  async end(): Promise<void> {
    for (const table of [jobs, parts, fitEventRows, fitProgressRows, batchRows, findingRows]) {
      const pile = this.piles.get(table)
      if (pile === undefined || pile.length === 0) continue
      await this.db.insert(table).values(pile as never)
      this.piles.delete(table)
    }
  }
}
