import { isDeepStrictEqual } from 'node:util'
import { type FitEvent, type FitReceipt, type PartId, replayFit } from '@truelay/contract'
import { name, say } from '@truelay/core/say'
import { and, inArray, ne } from 'drizzle-orm'
import type { Database, Tables } from '../database/openDatabase.ts'
import { toStored } from '../database/stored.ts'
import { Refused } from '../reply/reply.ts'
import { taken } from './taken.ts'
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

/** Adds events of one part in their order, as one write; an event that is already there is left as it is, one that comes too late is not kept. */
export const addFitEvents = (
  database: Database,
  partId: PartId,
  events: readonly FitEvent[],
  receivedAt: string,
  nameOf: (personId: string) => string,
  followers: readonly FitFollower[],
): Promise<FitReceipt> =>
  database.write(async (db) => {
    const before = await readFitLog({ read: db }, partId)
    await refuseOthers(db, partId, before.events, events)
    const known = new Set(before.events.map((e) => e.id))
    const stands = replayFit(before.events)
    const sentNow = [...new Map(events.filter((e) => !known.has(e.id)).map((e) => [e.id, e])).values()]
    const { events: fresh, late, state, retired: gone } = taken(stands, sentNow, nameOf)
    const retiredNow = new Set(gone)
    const news: FitNews = {
      partId,
      stored: fresh,
      retired: [...before.events, ...fresh].filter((e) => retiredNow.has(e.id)),
    }
    if (fresh.length > 0) {
      await db.insert(fitEventRows).values(
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
    return { stored: fresh.map((e) => e.id), known: [...known].filter((id) => sent.has(id)), tooLate: [...late] }
  })

/** An id says one thing only: an event that was something else before, or belongs to another part, is refused with all that came with it. */
async function refuseOthers(
  db: Tables,
  partId: PartId,
  before: readonly FitEvent[],
  events: readonly FitEvent[],
): Promise<void> {
  const elsewhere = await db
    .select({ id: fitEventRows.id })
    .from(fitEventRows)
    .where(
      and(
        ne(fitEventRows.partId, partId),
        inArray(
          fitEventRows.id,
          events.map((e) => e.id),
        ),
      ),
    )
  const first = new Map<string, FitEvent>()
  for (const event of [...before, ...events]) if (!first.has(event.id)) first.set(event.id, event)
  const taken =
    elsewhere[0]?.id ?? events.find((event) => !isDeepStrictEqual(plain(first.get(event.id)), plain(event)))?.id
  if (taken !== undefined)
    throw new Refused({
      code: 'EVENT_ID_TAKEN',
      sentence: say`Something else has happened under the id "${name(taken)}" before.`,
      fix: say`Send it under an id of its own; nothing was changed.`,
    })
}

/** As it is kept: without what is not there. */
const plain = (event: FitEvent | undefined): unknown => JSON.parse(JSON.stringify(event ?? null))
