import { type FitEvent, type FitReceipt, type PartId, replayFit } from '@truelay/contract'
import { inArray } from 'drizzle-orm'
import type { Database, Tables } from '../database/openDatabase.ts'
import { toStored } from '../database/stored.ts'
import { followed } from './followed.ts'
import { progressOf } from './progressOf.ts'
import { readFitLog } from './queries.ts'
import { fitEventRows, fitProgressRows } from './table.ts'

/** What one request brought to a fit. */
export interface FitNews {
  readonly partId: PartId
  readonly stored: readonly FitEvent[]
  /** Events that stood, or came just now, and whose step was gone back to. */
  readonly retired: readonly FitEvent[]
}

/** Does with the news of a fit what another part of the shop has to do with it, within the same write. */
export type FitFollower = (database: Database, db: Tables, news: FitNews) => Promise<void>

/** Adds events of one part in their order, as one write; an event that is already there is left as it is. */
export const addFitEvents = (
  database: Database,
  partId: PartId,
  events: readonly FitEvent[],
  receivedAt: string,
  followers: readonly FitFollower[],
): Promise<FitReceipt> =>
  database.write(async (db) => {
    const before = await readFitLog({ read: db }, partId)
    const known = new Set(before.events.map((e) => e.id))
    const fresh = [...new Map(events.filter((e) => !known.has(e.id)).map((e) => [e.id, e])).values()]
    const { state, retired: gone } = followed(replayFit(before.events), fresh)
    const retiredNow = new Set(gone)
    const news: FitNews = {
      partId,
      stored: fresh,
      retired: [...before.events, ...fresh].filter((e) => retiredNow.has(e.id)),
    }
    if (fresh.length > 0) {
      await db
        .insert(fitEventRows)
        .values(
          fresh.map((event) => ({
            id: event.id,
            partId,
            kind: event.kind,
            at: event.at,
            retired: retiredNow.has(event.id),
            document: toStored('fitEvent', event),
            receivedAt,
          })),
        )
        .onConflictDoNothing()
      if (gone.length > 0)
        await db
          .update(fitEventRows)
          .set({ retired: true })
          .where(inArray(fitEventRows.id, [...gone]))
      const document = toStored('fitProgress', progressOf(state))
      await db
        .insert(fitProgressRows)
        .values({ partId, document })
        .onConflictDoUpdate({ target: fitProgressRows.partId, set: { document } })
      for (const follow of followers) await follow(database, db, news)
    }
    const sent = new Set(events.map((e) => e.id))
    return { stored: fresh.map((e) => e.id), known: [...known].filter((id) => sent.has(id)) }
  })
