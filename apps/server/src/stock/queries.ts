import { isDeepStrictEqual } from 'node:util'
import { type CountedRoll, type NewRoll, type Roll, type RollId, type RollLine, rollId } from '@truelay/contract'
import { name, say } from '@truelay/core/say'
import { rollAccount } from '@truelay/core/stock'
import { asc, eq } from 'drizzle-orm'
import type { Database } from '../database/openDatabase.ts'
import { readEachStored, readStored, toStored } from '../database/stored.ts'
import { NotFound, Refused } from '../reply/reply.ts'
import { readFilms } from '../shelf/queries.ts'
import { rollLines, rolls } from './table.ts'

export async function readRoll({ read }: Pick<Database, 'read'>, id: RollId): Promise<Roll> {
  const [row] = await read.select().from(rolls).where(eq(rolls.id, id))
  if (row === undefined) throw new NotFound(say`There is no roll "${name(id)}".`, say`Choose one of the shelf.`)
  return readStored('roll', row.id, row.document)
}

/** The book of a roll, in the order in which it was written. */
export async function readRollLines(database: Database, id: RollId): Promise<RollLine[]> {
  const rows = await database.read
    .select()
    .from(rollLines)
    .where(eq(rollLines.rollId, id))
    .orderBy(asc(rollLines.place))
  return readEachStored(database, 'rollEntry', rows)
}

/** Every roll that the shop ever had with what it has left, the oldest first. */
export async function readCountedRolls(database: Database): Promise<CountedRoll[]> {
  const [all, lines] = await Promise.all([
    database.read.select().from(rolls),
    database.read.select().from(rollLines).orderBy(asc(rollLines.place)),
  ])
  const books = new Map<RollId, RollLine[]>()
  for (const line of readEachStored(database, 'rollEntry', lines))
    books.set(line.rollId, [...(books.get(line.rollId) ?? []), line])
  return readEachStored(database, 'roll', all)
    .map((roll) => countedRoll(roll, books.get(roll.id) ?? []))
    .sort((a, b) => a.roll.cameAt.localeCompare(b.roll.cameAt) || a.roll.id.localeCompare(b.roll.id))
}

export const countedRoll = (roll: Roll, lines: readonly RollLine[]): CountedRoll => ({
  roll,
  account: rollAccount(
    roll,
    lines.map(({ happened }) => happened),
  ) as CountedRoll['account'],
})

/** Puts a roll on the shelf, under the next number. */
export const addRoll = (database: Database, draft: NewRoll): Promise<Roll> =>
  database.write(async (db, within) => {
    await filmIsThere(within, draft)
    const numbers = (await db.select({ id: rolls.id }).from(rolls)).map(({ id }) => Number(id.slice(1)))
    const roll: Roll = { ...draft, id: rollId.parse(`r${Math.max(0, ...numbers.filter(Number.isInteger)) + 1}`) }
    await db.insert(rolls).values({ id: roll.id, document: toStored('roll', roll) })
    return roll
  })

/** Puts right what was typed of a roll. */
export const saveRoll = (database: Database, roll: Roll): Promise<Roll> =>
  database.write(async (db, within) => {
    await readRoll(within, roll.id)
    await filmIsThere(within, roll)
    await db
      .update(rolls)
      .set({ document: toStored('roll', roll) })
      .where(eq(rolls.id, roll.id))
    return roll
  })

async function filmIsThere(database: Database, { filmId }: Pick<Roll, 'filmId'>) {
  if ((await readFilms(database, [filmId])).length === 0)
    throw new NotFound(say`There is no film "${name(filmId)}".`, say`Choose one of the shelf.`)
}

/** Adds a line to the book of a roll; sent twice, it stands once. */
export const addRollLine = (database: Database, line: RollLine): Promise<void> =>
  database.write(async (db) => {
    const [there] = await db.select().from(rollLines).where(eq(rollLines.id, line.id))
    if (there === undefined)
      await db.insert(rollLines).values({ id: line.id, rollId: line.rollId, document: toStored('rollEntry', line) })
    else if (!isDeepStrictEqual(readStored('rollEntry', there.id, there.document), line))
      throw new Refused({
        code: 'ROLL_LINE_TAKEN',
        sentence: say`Something else stands in the book of a roll under that id.`,
        fix: say`Send it under an id of its own; nothing was changed.`,
      })
  })
