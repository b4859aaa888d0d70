import { notBegun, type PartId } from '@truelay/contract'
import { eq, inArray, isNull, or } from 'drizzle-orm'
import type { Database } from '../database/openDatabase.ts'
import { followed } from './followed.ts'
import { keepStandingFit } from './keptState.ts'
import { readFitLogs } from './queries.ts'
import { fitEventRows, fitProgressRows } from './table.ts'

/** Writes what is kept beside the logs that are older than it: where each fit stands, how far it has come, and what does not stand any more. */
export const catchUpFits = (database: Database): Promise<void> =>
  database.write(async (db, within) => {
    const behind = await db
      .selectDistinct({ partId: fitEventRows.partId })
      .from(fitEventRows)
      .leftJoin(fitProgressRows, eq(fitProgressRows.partId, fitEventRows.partId))
      .where(or(isNull(fitProgressRows.partId), isNull(fitProgressRows.state)))
    for (const { partId } of behind) {
      const id = partId as PartId
      const events = (await readFitLogs(within, [id])).get(id) ?? []
      const { state, retired } = followed(notBegun, events)
      if (retired.length > 0)
        await db
          .update(fitEventRows)
          .set({ retired: true })
          .where(
            inArray(
              fitEventRows.id,
              retired.map((e) => e.id),
            ),
          )
      await keepStandingFit(db, id, { state, beginId: events.find((e) => e.kind === 'fitStarted')?.id ?? null })
    }
  })
