import { isDeepStrictEqual } from 'node:util'
import type { BladeStroke, FitEventOf } from '@truelay/contract'
import { say } from '@truelay/core/say'
import { asc, eq } from 'drizzle-orm'
import type { Database } from '../database/openDatabase.ts'
import { readFitEventsOf } from '../fit/queries.ts'
import { bladeRows } from './table.ts'
import { Refused } from '../reply/reply.ts'
import { readEachStored, readStored, toStored } from '../database/stored.ts'

/** The whole book in order of time: what was entered by hand, and every cut of a fit. */
export async function readBlades(database: Database): Promise<BladeStroke[]> {
  const [rows, used] = await Promise.all([
    database.read.select().from(bladeRows).orderBy(asc(bladeRows.place)),
    readFitEventsOf(database, 'bladeUsed'),
  ])
  const strokes = [...readEachStored(database, 'bladeEntry', rows), ...used.flatMap(strokesOf)]
  return strokes.sort((a, b) => a.at.localeCompare(b.at))
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
export async function addBladeStroke(database: Database, entry: BladeStroke): Promise<BladeStroke[]> {
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
