import { type FitEvent, type FitEventOf, type FitLog, type FitReceipt, fitEvent, type PartId } from '@truelay/contract'
import { asc, eq, inArray, sql } from 'drizzle-orm'
import type { Database } from '../database/openDatabase.ts'
import { batchOfEvent } from '../liquids/batchOfEvent.ts'
import { batchRows } from '../liquids/table.ts'
import { takeOff } from '../liquids/takeOff.ts'
import { fitEventRows } from './table.ts'

export async function readFitLog({ read }: Database, partId: PartId): Promise<FitLog> {
  const rows = await read
    .select()
    .from(fitEventRows)
    .where(eq(fitEventRows.partId, partId))
    .orderBy(asc(fitEventRows.place))
  return { partId, events: rows.map((row) => fitEvent.parse(row.event)) }
}

export async function readFitLogs({ read }: Database, partIds: readonly PartId[]): Promise<Map<string, FitEvent[]>> {
  const rows = await read
    .select()
    .from(fitEventRows)
    .where(inArray(fitEventRows.partId, [...partIds]))
    .orderBy(asc(fitEventRows.place))
  const logs = new Map<string, FitEvent[]>()
  for (const row of rows) logs.set(row.partId, [...(logs.get(row.partId) ?? []), fitEvent.parse(row.event)])
  return logs
}

/** Events of one kind from every fit, in the order in which they arrived. */
export async function readFitEventsOf<K extends FitEvent['kind']>(
  { read }: Database,
  kind: K,
): Promise<FitEventOf<K>[]> {
  const rows = await read
    .select()
    .from(fitEventRows)
    .where(sql`json_extract(${fitEventRows.event}, '$.kind') = ${kind}`)
    .orderBy(asc(fitEventRows.place))
  return rows.map((row) => fitEvent.parse(row.event)).filter((event): event is FitEventOf<K> => event.kind === kind)
}

/** Adds events in their order, in one transaction; an event that is already there is left as it is. */
export async function addFitEvents(
  database: Database,
  events: readonly FitEvent[],
  receivedAt: string,
): Promise<FitReceipt> {
  return database.write(async (db) => {
    const before = await db
      .select({ id: fitEventRows.id })
      .from(fitEventRows)
      .where(
        inArray(
          fitEventRows.id,
          events.map((e) => e.id),
        ),
      )
    const known = new Set(before.map((row) => row.id))
    const fresh = events.filter((e) => !known.has(e.id))
    const unique = [...new Map(fresh.map((e) => [e.id, e])).values()]
    if (unique.length > 0)
      await db
        .insert(fitEventRows)
        .values(unique.map((event) => ({ id: event.id, partId: event.partId, event, receivedAt })))
        .onConflictDoNothing()
    const mixed = unique.filter((e) => e.kind === 'batchMixed').map(batchOfEvent)
    if (mixed.length > 0) {
      await db
        .insert(batchRows)
        .values(mixed.map((document) => ({ id: document.id, mixedAt: document.mixedAt, document })))
        .onConflictDoNothing()
      await takeOff(
        db,
        mixed.flatMap((b) => b.add),
      )
    }
    return { stored: unique.map((e) => e.id), known: [...known] }
  })
}
