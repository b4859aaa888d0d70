import { createHash, randomUUID } from 'node:crypto'
import { fitEvent, jobId, type PartId } from '@truelay/contract'
import { seededRandom } from '@truelay/core/numerics'
import { addDays, addHours, setHours, startOfDay } from 'date-fns'
import { count as rowsIn } from 'drizzle-orm'
import type { Database } from '../database/openDatabase.ts'
import { toStored } from '../database/stored.ts'
import { jobs, parts } from '../jobs/table.ts'
import type { PhotoStore } from '../photos/photoStore.ts'
import { findingRows } from '../walkRound/table.ts'
import { eventsOfFit } from './oneFit.ts'
import { Pile, putFit } from './pile.ts'
import { type Template, templatesOf } from './templates.ts'

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
const customers = ['Private owner', 'Fleet 27', 'Harbour Vans', 'Estate rental', 'Orchard Cars']
const colours = ['signal white', 'slate grey', 'moss green', 'night blue']
/**
 * Adds a year of work to the demo shop: jobs, parts, whole fits with their bottles, findings with photos. From a seed, but for the ids. Does
 * nothing in a shop that has one already. Says how many events there are.
 */
export async function seedYear(database: Database, photos: PhotoStore, now: Date, size: YearSize): Promise<number> {
  const [there] = await database.read.select({ n: rowsIn() }).from(jobs)
  if ((there?.n ?? 0) > 100) return 0
  const chance = seededRandom(size.seed)
  const templates = await templatesOf(database, () => true, 'as it stands')
  const [first] = templates
  if (first !== undefined) refuseUnreadable(first)
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
        const { plan, part } = pick(templates, chance)
        const partId = `${number}-${String(place + 1).padStart(2, '0')}` as PartId
        await pile.put(parts, { ...part, id: partId, jobId: number, place })
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

/** What is written has to be what the readers take. */
function refuseUnreadable({ part, plan }: Template): void {
  const log = eventsOfFit(
    {
      partId: part.id as PartId,
      jobNumber: '1',
      place: 1,
      personId: 'ines',
      plan,
      beganAt: new Date(),
      steps: plan.steps.length,
    },
    () => 0.01,
  )
  for (const event of log) fitEvent.parse(event)
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
