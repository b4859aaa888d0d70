import { type FitFacts, partId, taughtBy } from '@truelay/contract'
import type { FitFact, FitTaught, OffsetReading } from '@truelay/core/memory'
import { and, asc, eq, isNull, sql } from 'drizzle-orm'
import { forgotten } from '../corrections/forgetCustomer.ts'
import type { Database } from '../database/openDatabase.ts'
import { readEachStored } from '../database/stored.ts'
import { readStandingFit } from '../fit/keptState.ts'
import { fitProgressRows } from '../fit/table.ts'
import { jobs, parts } from '../jobs/table.ts'

/** What all finished fits of the shop teach, the oldest first; jobs that were opened by mistake teach nothing. */
export async function readFacts(database: Database): Promise<FitFacts> {
  const rows = await database.read
    .select({
      partId: parts.id,
      jobId: jobs.id,
      modelId: jobs.vehicleModelId,
      plate: jobs.plate,
      personId: jobs.personId,
      slot: parts.slot,
      pieceId: parts.pieceId,
      filmId: parts.filmId,
      shift: { xMm: parts.shiftXMm, yMm: parts.shiftYMm, turnDeg: parts.shiftTurnDeg },
      finishedAt: sql<string | null>`json_extract(${fitProgressRows.document}, '$.doc.finishedAt')`,
      startedBy: sql<string | null>`json_extract(${fitProgressRows.state}, '$.doc.startedBy')`,
      taught: fitProgressRows.taught,
    })
    .from(fitProgressRows)
    .innerJoin(parts, eq(parts.id, fitProgressRows.partId))
    .innerJoin(jobs, eq(jobs.id, parts.jobId))
    .where(
      and(
        isNull(jobs.removedAt),
        isNull(parts.visitOf),
        sql`json_extract(${fitProgressRows.document}, '$.doc.state') = 'done'`,
      ),
    )
    .orderBy(asc(jobs.arrivedAt), asc(parts.place))
  const facts: FitFact[] = []
  for (const row of rows) {
    const taught = await taughtOf(database, row)
    if (taught === null || row.finishedAt === null) continue
    facts.push({
      ...taught,
      offset: shifted(taught.offset, row.shift),
      partId: row.partId,
      at: row.finishedAt,
      modelId: row.modelId,
      slot: row.slot,
      pieceId: row.pieceId,
      // Vehicles whose plates were forgotten are not one vehicle.
      body: row.plate === forgotten ? row.jobId : row.plate,
      hand: row.startedBy ?? row.personId,
      filmId: row.filmId,
    })
  }
  return { facts } as FitFacts
}

interface Row {
  readonly partId: string
  readonly taught: typeof fitProgressRows.$inferSelect.taught
}

/** What was kept when it was finished; of a fit that is older than that, what its log says. */
async function taughtOf(database: Database, { partId: id, taught }: Row): Promise<FitTaught | null> {
  if (taught !== null) return readEachStored(database, 'fitTaught', [{ id, document: taught }])[0] ?? null
  const { state } = await readStandingFit(database, partId.parse(id))
  return state.phase === 'finished' ? taughtBy(state) : null
}

/** Against where the pattern has it, whatever the plan had added. */
function shifted(
  offset: FitTaught['offset'],
  shift: { readonly xMm: number; readonly yMm: number; readonly turnDeg: number },
): FitTaught['offset'] {
  if (offset === null) return null
  const by = (reading: OffsetReading | null, add: number) =>
    reading === null ? null : { ...reading, value: reading.value + add }
  return {
    xMm: by(offset.xMm, shift.xMm),
    yMm: by(offset.yMm, shift.yMm),
    turnDeg: by(offset.turnDeg, shift.turnDeg),
  }
}
