import {
  type FitState,
  fitFromKept,
  fitTaught,
  keepFit,
  notBegun,
  type PartId,
  replayFit,
  taughtBy,
} from '@truelay/contract'
import { and, asc, eq } from 'drizzle-orm'
import type { Database, Tables } from '../database/openDatabase.ts'
import { readStored, StoredFault, toStored } from '../database/stored.ts'
import { progressOf } from './progressOf.ts'
import { readFitLog } from './queries.ts'
import { fitEventRows, fitProgressRows } from './table.ts'

/** Where a fit stands, and the event that began it. */
export interface StandingFit {
  readonly state: FitState
  readonly beginId: string | null
}

/** Where a fit stands, without reading its log: as it is kept beside it. Where that cannot be read, the log is replayed. */
export async function readStandingFit(database: Database, partId: PartId): Promise<StandingFit> {
  const [row] = await database.read
    .select({ state: fitProgressRows.state })
    .from(fitProgressRows)
    .where(eq(fitProgressRows.partId, partId))
  if (row === undefined || row.state === null) return replayed(database, partId)
  try {
    const kept = readStored('fitState', partId, row.state)
    return { state: fitFromKept(kept, await planOf(database, kept.beginId)), beginId: kept.beginId }
  } catch (error) {
    if (!(error instanceof StoredFault)) throw error
    return replayed(database, partId)
  }
}

async function replayed(database: Database, partId: PartId): Promise<StandingFit> {
  const { events } = await readFitLog(database, partId)
  return { state: replayFit(events), beginId: events.find((e) => e.kind === 'fitStarted')?.id ?? null }
}

/** The plan with which a fit began; an event never changes. */
const planOf = ({ read, unchanging }: Database, beginId: string) =>
  unchanging.get(`plan ${beginId}`, async () => {
    const [row] = await read
      .select({ document: fitEventRows.document })
      .from(fitEventRows)
      .where(and(eq(fitEventRows.id, beginId), eq(fitEventRows.kind, 'fitStarted')))
      .orderBy(asc(fitEventRows.place))
    const begin = row === undefined ? null : readStored('fitEvent', beginId, row.document)
    if (begin?.kind !== 'fitStarted') throw new StoredFault('fitState', beginId, 'beginId', 'names no beginning')
    return begin.plan
  })

/** Keeps where a fit stands and how far it has come. */
export async function keepStandingFit(db: Tables, partId: PartId, { state, beginId }: StandingFit): Promise<void> {
  if (state === notBegun || state.phase === 'not begun' || beginId === null) return
  const kept = {
    document: toStored('fitProgress', progressOf(state)),
    state: toStored('fitState', keepFit(state, beginId)),
    taught: state.phase === 'finished' ? toStored('fitTaught', fitTaught.parse(taughtBy(state))) : null,
  }
  await db
    .insert(fitProgressRows)
    .values({ partId, ...kept })
    .onConflictDoUpdate({ target: fitProgressRows.partId, set: kept })
}
