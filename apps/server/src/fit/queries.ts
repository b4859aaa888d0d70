import type { FitEvent, FitEventName, FitEventOf, FitLog, FitProgress, PartId } from '@truelay/contract'
import { and, asc, desc, eq, inArray } from 'drizzle-orm'
import type { Database } from '../database/openDatabase.ts'
import { readEachStored, readStored, StoredFault } from '../database/stored.ts'
import { notBegunProgress } from './progressOf.ts'
import { fitEventRows, fitProgressRows } from './table.ts'

export async function readFitLog({ read }: Pick<Database, 'read'>, partId: PartId): Promise<FitLog> {
  const rows = await read
    .select()
    .from(fitEventRows)
    .where(eq(fitEventRows.partId, partId))
    .orderBy(asc(fitEventRows.place))
  return { partId, events: rows.map((row) => readStored('fitEvent', row.id, row.document)) }
}

/** Which of some events are not stored. */
export async function unknownEvents({ read }: Pick<Database, 'read'>, ids: readonly string[]): Promise<string[]> {
  const known = await read
    .select({ id: fitEventRows.id })
    .from(fitEventRows)
    .where(inArray(fitEventRows.id, [...ids]))
  const stored = new Set(known.map(({ id }) => id))
  return ids.filter((id) => !stored.has(id))
}

/** The logs of some parts; one that cannot be read is reported and left out. */
export async function readFitLogs(database: Database, partIds: readonly PartId[]): Promise<Map<string, FitEvent[]>> {
  const logs = new Map<string, FitEvent[]>()
  for (const id of partIds) {
    try {
      const { events } = await readFitLog(database, id)
      if (events.length > 0) logs.set(id, events)
    } catch (error) {
      if (!(error instanceof StoredFault)) throw error
      database.report(error)
    }
  }
  return logs
}

/** The latest events of one kind from every fit that stand, at most so many, in the order in which they arrived. */
export async function readLatestFitEventsOf<K extends FitEventName>(
  database: Database,
  kind: K,
  most: number,
): Promise<FitEventOf<K>[]> {
  const rows = await database.read
    .select({ id: fitEventRows.id, document: fitEventRows.document })
    .from(fitEventRows)
    .where(and(eq(fitEventRows.kind, kind), eq(fitEventRows.retired, false)))
    .orderBy(desc(fitEventRows.place))
    .limit(most)
  return readEachStored(database, 'fitEvent', rows.reverse()).filter(
    (event): event is FitEventOf<K> => event.kind === kind,
  )
}

/** How far the fits of some parts have come; those that nobody has begun are waiting. */
export async function readProgress(
  database: Database,
  partIds: readonly string[],
): Promise<(partId: string) => FitProgress> {
  const rows = await database.read
    .select({ id: fitProgressRows.partId, document: fitProgressRows.document })
    .from(fitProgressRows)
    .where(inArray(fitProgressRows.partId, [...partIds]))
  const known = new Map(rows.flatMap((row) => readEachStored(database, 'fitProgress', [row]).map((p) => [row.id, p])))
  return (partId) => known.get(partId) ?? notBegunProgress
}
