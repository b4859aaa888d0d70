import { isDeepStrictEqual } from 'node:util'
import type { FitEvent, FitReceipt, PartId } from '@truelay/contract'
import { name, say } from '@truelay/core/say'
import { inArray } from 'drizzle-orm'
import type { Database, Tables } from '../database/openDatabase.ts'
import { readStored, toStored } from '../database/stored.ts'
import { Refused } from '../reply/reply.ts'
import { taken } from './taken.ts'
import { keepStandingFit, readStandingFit } from './keptState.ts'
import { fitEventRows } from './table.ts'

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
  database.write(async (db, within) => {
    const there = await storedAmong(db, events)
    refuseOthers(partId, there, events)
    const before = await readStandingFit(within, partId)
    const sentNow = [...new Map(events.filter((e) => !there.has(e.id)).map((e) => [e.id, e])).values()]
    const { events: fresh, late, state, retired } = taken(before.state, sentNow, nameOf)
    const gone = new Set(retired.map((e) => e.id))
    if (fresh.length > 0) {
      await db.insert(fitEventRows).values(
        fresh.map((event) => ({
          id: event.id,
          partId,
          kind: event.kind,
          at: event.at,
          retired: gone.has(event.id),
          document: toStored('fitEvent', event),
          receivedAt,
        })),
      )
      if (gone.size > 0)
        await db
          .update(fitEventRows)
          .set({ retired: true })
          .where(inArray(fitEventRows.id, [...gone]))
      const beginId = before.beginId ?? fresh.find((e) => e.kind === 'fitStarted')?.id ?? null
      await keepStandingFit(db, partId, { state, beginId })
      const news: FitNews = { partId, stored: fresh, retired }
      for (const follow of followers) await follow(database, db, news)
    }
    return { stored: fresh.map((e) => e.id), known: [...there.keys()], tooLate: [...late] }
  })

interface StoredEvent {
  readonly partId: string
  readonly event: FitEvent
}

/** Those of some events whose ids are stored already, with what is stored under them. */
async function storedAmong(db: Tables, events: readonly FitEvent[]): Promise<ReadonlyMap<string, StoredEvent>> {
  const rows = await db
    .select({ id: fitEventRows.id, partId: fitEventRows.partId, document: fitEventRows.document })
    .from(fitEventRows)
    .where(
      inArray(
        fitEventRows.id,
        events.map((e) => e.id),
      ),
    )
  return new Map(rows.map(({ id, partId, document }) => [id, { partId, event: readStored('fitEvent', id, document) }]))
}

/** An id says one thing only: an event that was something else before, or belongs to another part, is refused with all that came with it. */
function refuseOthers(partId: PartId, there: ReadonlyMap<string, StoredEvent>, events: readonly FitEvent[]): void {
  const first = new Map<string, StoredEvent>(there)
  for (const event of events) if (!first.has(event.id)) first.set(event.id, { partId, event })
  const taken = events.find((event) => {
    const known = first.get(event.id)
    return known?.partId !== partId || !isDeepStrictEqual(plain(known.event), plain(event))
  })
  if (taken !== undefined)
    throw new Refused({
      code: 'EVENT_ID_TAKEN',
      sentence: say`Something else has happened under the id "${name(taken.id)}" before.`,
      fix: say`Send it under an id of its own; nothing was changed.`,
    })
}

/** As it is kept: without what is not there. */
const plain = (event: FitEvent | undefined): unknown => JSON.parse(JSON.stringify(event ?? null))
