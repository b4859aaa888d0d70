import { type DayWishes, noWishes } from '@truelay/contract'
import { name, say } from '@truelay/core/say'
import { eq } from 'drizzle-orm'
import type { Database } from '../database/openDatabase.ts'
import { readEachStored, toStored } from '../database/stored.ts'
import { readProgress } from '../fit/queries.ts'
import { readPart } from '../jobs/queries.ts'
import { NotFound } from '../reply/reply.ts'
import { readPeople } from '../shop/people.ts'
import { dayPlanRows } from './table.ts'

const wishesRow = 'wishes'

export async function readWishes(database: Database): Promise<DayWishes> {
  const [row] = await database.read.select().from(dayPlanRows).where(eq(dayPlanRows.id, wishesRow))
  return (row === undefined ? undefined : readEachStored(database, 'dayWishes', [row])[0]) ?? noWishes
}

/** Of whom and of what they are has to be here. */
export async function checkWishes(database: Database, { pins, away }: DayWishes): Promise<void> {
  const people = new Set<string>((await readPeople(database)).map(({ id }) => id))
  for (const person of [...pins.map(({ personId }) => personId), ...away.map(({ personId }) => personId)])
    if (person !== null && !people.has(person))
      throw new NotFound(say`Nobody here is called "${name(person)}".`, say`Choose a person of the shop.`)
  for (const { partId } of pins) await readPart(database, partId)
}

/** What is past by now goes: who is back, and parts that are done. */
async function still(database: Database, { pins, away }: DayWishes, now: Date): Promise<DayWishes> {
  const progress = await readProgress(
    database,
    pins.map(({ partId }) => partId),
  )
  return {
    pins: pins.filter(({ partId }) => progress(partId).state !== 'done'),
    away: away.filter(({ until }) => new Date(until) > now),
  }
}

export async function saveWishes(database: Database, asked: DayWishes, now: Date): Promise<DayWishes> {
  await checkWishes(database, asked)
  const wishes = await still(database, asked, now)
  const document = toStored('dayWishes', wishes)
  await database.write((db) =>
    db
      .insert(dayPlanRows)
      .values({ id: wishesRow, of: '', document })
      .onConflictDoUpdate({ target: dayPlanRows.id, set: { document } }),
  )
  return wishes
}
