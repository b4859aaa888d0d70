import { batch, batchId, type FitEvent, type FitEventOf, type LiquidBatch } from '@truelay/contract'
import { and, eq, sql } from 'drizzle-orm'
import type { Database, Tables } from '../database/openDatabase.ts'
import { readEachStored, readStored, toStored } from '../database/stored.ts'
import type { FitFollower } from '../fit/addFitEvents.ts'
import { fitEventRows } from '../fit/table.ts'
import { giveBack, takeOff } from './supplies.ts'
import { batchRows } from './table.ts'

const mixedAmong = (events: readonly FitEvent[]) =>
  events.filter((e): e is FitEventOf<'batchMixed'> => e.kind === 'batchMixed')

/**
 * What a fit mixes stands on the bench like any other bottle. Where its step is gone back to, the bottle goes from the bench again and
 * what was poured returns to the supplies, unless somebody has done something with it meanwhile.
 */
export const benchFollowsFit: FitFollower = async (database, db, { stored, retired }) => {
  const gone = new Set(retired.map((e) => e.id))
  for (const event of mixedAmong(stored)) {
    if (gone.has(event.id)) continue
    const bottle = batchOfEvent(event)
    await db
      .insert(batchRows)
      .values({ id: bottle.id, mixedAt: bottle.mixedAt, document: toStored('batch', bottle) })
      .onConflictDoNothing()
    await takeOff(db, bottle.add)
  }
  const before = new Set(stored.map((e) => e.id))
  for (const event of mixedAmong(retired)) {
    if (before.has(event.id) || !(await isUntouched(database, db, event))) continue
    await db.delete(batchRows).where(eq(batchRows.id, event.id))
    await giveBack(db, event.add)
  }
}

/** Nobody has changed the bottle, and no other fit has it in hand. */
async function isUntouched(database: Database, db: Tables, event: FitEventOf<'batchMixed'>): Promise<boolean> {
  const [row] = await db.select().from(batchRows).where(eq(batchRows.id, event.id))
  if (row === undefined || readStored('batch', row.id, row.document).history.length > 1) return false
  const taken = await db
    .select({ id: fitEventRows.id, document: fitEventRows.document })
    .from(fitEventRows)
    .where(and(eq(fitEventRows.kind, 'bottleTaken'), sql`${fitEventRows.document} like ${`%"batchId":"${event.id}"%`}`))
  return readEachStored(database, 'fitEvent', taken).every(
    (e) => e.kind !== 'bottleTaken' || e.batchId !== event.id || e.partId === event.partId,
  )
}

/** The bottle that an event of mixing brought to the bench. */
export function batchOfEvent(event: FitEventOf<'batchMixed'>): LiquidBatch {
  const { batchMl, at, personId, says, school, add } = event
  return batch.parse({
    id: batchId.parse(event.id),
    number: event.batchNumber,
    says,
    school,
    strength: { alcoholPercent: event.alcoholPercent, soapMlPerL: event.soapMlPerL },
    bottleMl: batchMl,
    leftMl: batchMl,
    waterKind: 'distilled',
    add,
    mixedAt: at,
    personId,
    emptiedAt: null,
    history: [{ at, personId, what: 'mixed', says, leftMl: batchMl }],
  })
}
