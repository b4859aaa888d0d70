import { isDeepStrictEqual } from 'node:util'
import type { BladeLog, BladeStroke, FitEventOf } from '@truelay/contract'
import { say } from '@truelay/core/say'
import { and, asc, count, eq, sql } from 'drizzle-orm'
import type { Database } from '../database/openDatabase.ts'
import { readLatestFitEventsOf } from '../fit/queries.ts'
import { fitEventRows } from '../fit/table.ts'
import { bladeRows } from './table.ts'
import { Refused } from '../reply/reply.ts'
import { readEachStored, readStored, toStored } from '../database/stored.ts'

/** So many cuts of fits are listed. */
const latest = 300

/** The book in order of time: what was entered by hand, and the latest cuts of fits. */
export async function readBlades(database: Database): Promise<BladeLog> {
  const [rows, used, segments] = await Promise.all([
    database.read.select().from(bladeRows).orderBy(asc(bladeRows.place)),
    readLatestFitEventsOf(database, 'bladeUsed', latest),
    segmentsOfFits(database),
  ])
  const strokes = [...readEachStored(database, 'bladeEntry', rows), ...used.flatMap(strokesOf)]
  return {
    segmentsBefore: segments - used.filter((event) => event.fresh).length,
    strokes: strokes.sort((a, b) => a.at.localeCompare(b.at)),
  }
}

/** How many segments all fits have used. */
async function segmentsOfFits({ read }: Pick<Database, 'read'>): Promise<number> {
  const [row] = await read
    .select({ segments: count() })
    .from(fitEventRows)
    .where(
      and(
        eq(fitEventRows.kind, 'bladeUsed'),
        eq(fitEventRows.retired, false),
        sql`case when json_valid(${fitEventRows.document}) then coalesce(json_extract(${fitEventRows.document}, '$.doc.fresh'), json_extract(${fitEventRows.document}, '$.fresh')) end`,
      ),
    )
  return row?.segments ?? 0
}

/** A fresh segment comes before the cut that is made with it. */
function strokesOf({ id, at, personId, partId, fresh, cutMm }: FitEventOf<'bladeUsed'>): BladeStroke[] {
  const common = { id, at, personId, where: partId }
  return [
    ...(fresh ? [{ ...common, kind: 'segment' as const }] : []),
    ...(cutMm > 0 ? [{ ...common, kind: 'cut' as const, cutMm }] : []),
  ]
}

/** Adds a stroke; sent twice, it stands once. */
export async function addBladeStroke(database: Database, entry: BladeStroke): Promise<BladeLog> {
  await database.write(async (db) => {
    const [there] = await db.select().from(bladeRows).where(eq(bladeRows.id, entry.id))
    if (there === undefined)
      await db.insert(bladeRows).values({ id: entry.id, document: toStored('bladeEntry', entry) })
    else if (!isDeepStrictEqual(readStored('bladeEntry', there.id, there.document), entry))
      throw new Refused({
        code: 'STROKE_ID_TAKEN',
        sentence: say`Something else stands in the blade book under that id.`,
        fix: say`Send it under an id of its own; nothing was changed.`,
      })
  })
  return readBlades(database)
}
