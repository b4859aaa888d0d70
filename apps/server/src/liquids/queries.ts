import { isDeepStrictEqual } from 'node:util'
import {
  type BatchChange,
  type BatchDraft,
  type BatchId,
  batch,
  mostBatchNotes as mostNotes,
  type LiquidBatch,
  type Supply,
  supply,
} from '@truelay/contract'
import { name, say, type Sentence, volume } from '@truelay/core/say'
import { format, subDays } from 'date-fns'
import { asc, eq, gt, gte, isNull, or } from 'drizzle-orm'
import type { Database } from '../database/openDatabase.ts'
import { readEach, readEachStored, readRow, readStored, toStored } from '../database/stored.ts'
import { NotFound, Refused } from '../reply/reply.ts'
import { batchRows, supplyRows } from './table.ts'
import { takeOff } from './supplies.ts'

/** A bottle that was emptied is shown for so many days more. */
const daysShown = 2

/** The bottles that stand in the shop, or did until lately. */
export const readBatches = async (database: Database, now: Date): Promise<LiquidBatch[]> =>
  readEachStored(
    database,
    'batch',
    await database.read
      .select({ id: batchRows.id, document: batchRows.document })
      .from(batchRows)
      .where(or(isNull(batchRows.emptiedAt), gt(batchRows.emptiedAt, subDays(now, daysShown).toISOString())))
      .orderBy(asc(batchRows.mixedAt)),
  )

export const readSupplies = async (database: Database): Promise<Supply[]> =>
  readEach(database, await database.read.select().from(supplyRows), (row) => readRow('supply', row.what, supply, row))

/** A batch that was mixed on the bench: numbered by its day, and taken off the supplies. */
export const mixBatchNow = (database: Database, id: BatchId, draft: BatchDraft, now: Date): Promise<LiquidBatch> =>
  database.write(async (db) => {
    const [there] = await db.select().from(batchRows).where(eq(batchRows.id, id))
    if (there !== undefined) return sameBatch(readStored('batch', id, there.document), draft)
    const day = format(now, 'yyMMdd')
    const mixedToday = await db
      .select({ id: batchRows.id, document: batchRows.document })
      .from(batchRows)
      .where(gte(batchRows.mixedAt, subDays(now, 2).toISOString()))
    const today = readEachStored(database, 'batch', mixedToday).filter((b) => b.number.startsWith(`${day}-`)).length
    const at = now.toISOString()
    const mixed: LiquidBatch = batch.parse({
      ...draft,
      id,
      number: `${day}-${today + 1}`,
      mixedAt: at,
      emptiedAt: null,
      history: [{ at, personId: draft.personId, what: 'mixed', says: draft.says, leftMl: draft.leftMl }],
    })
    await db.insert(batchRows).values({ id, mixedAt: at, document: toStored('batch', mixed) })
    await takeOff(db, draft.add)
    return mixed
  })

/** A bottle that is there under an id: what it was mixed as, if nobody has remixed it, has to be what is asked for. */
function sameBatch(there: LiquidBatch, { leftMl, ...draft }: BatchDraft): LiquidBatch {
  const { number: _, mixedAt, emptiedAt, history, leftMl: left, ...mixed } = there
  const [first] = history
  const untouched = first?.at === mixedAt
  if (first?.leftMl !== leftMl || (untouched && !isDeepStrictEqual(mixed, draft)))
    throw new Refused({
      code: 'BATCH_ID_TAKEN',
      sentence: say`Batch ${name(there.number)} stands on the bench under that id, and was mixed otherwise.`,
      fix: say`Send it under an id of its own; nothing was changed.`,
    })
  return there
}

/** How it began and what happened last: a bottle that is written up for years stays readable. */
const latest = (history: LiquidBatch['history']) =>
  history.length < mostNotes ? history : [...history.slice(0, 1), ...history.slice(2 - mostNotes)]

const changeWords: Record<BatchChange['what'], Sentence> = {
  level: say`level noted`,
  emptied: say`emptied`,
  'put right': say`put right`,
  'topped up': say`topped up`,
}

export const changeBatch = (database: Database, id: BatchId, change: BatchChange, now: Date): Promise<LiquidBatch> =>
  database.write(async (db) => {
    const [row] = await db.select().from(batchRows).where(eq(batchRows.id, id))
    if (row === undefined)
      throw new NotFound(say`There is no batch "${name(id)}".`, say`Choose one of those on the bench.`)
    const before = readStored('batch', id, row.document)
    if (before.emptiedAt !== null)
      throw new Refused({
        code: 'BATCH_EMPTY',
        sentence: say`Batch ${name(before.number)} was emptied already.`,
        fix: say`Mix a fresh one.`,
      })
    const leftMl = change.what === 'emptied' ? 0 : change.leftMl
    if (leftMl > before.bottleMl)
      throw new Refused({
        code: 'BATCH_OVERFULL',
        sentence: say`The bottle of batch ${name(before.number)} holds ${volume(before.bottleMl)}, not ${volume(leftMl)}.`,
        fix: say`Correct the volume.`,
      })
    const at = now.toISOString()
    const remixed = change.what === 'put right' || change.what === 'topped up'
    const after = batch.parse({
      ...before,
      leftMl,
      ...(remixed
        ? { strength: change.strength, says: change.says, school: change.school, add: change.add, mixedAt: at }
        : {}),
      emptiedAt: change.what === 'emptied' ? at : null,
      history: [
        ...latest(before.history),
        { at, personId: change.personId, what: change.what, says: changeWords[change.what], leftMl },
      ],
    })
    await db
      .update(batchRows)
      .set({ document: toStored('batch', after) })
      .where(eq(batchRows.id, id))
    if (remixed) await takeOff(db, change.add)
    return after
  })

export const saveSupply = (database: Database, wanted: Supply): Promise<Supply> =>
  database.write(async (db) => {
    await db
      .insert(supplyRows)
      .values(wanted)
      .onConflictDoUpdate({ target: supplyRows.what, set: { leftMl: wanted.leftMl } })
    return wanted
  })
