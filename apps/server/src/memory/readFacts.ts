import { type FitFacts, partId, taughtBy } from '@truelay/contract'
import type { FitFact, FitTaught, OffsetReading } from '@truelay/core/memory'
import { and, asc, eq, isNull, sql } from 'drizzle-orm'
import { forgotten } from '../corrections/forgetCustomer.ts'
import type { Database } from '../database/openDatabase.ts'
import { readEachStored } from '../database/stored.ts'
import { readStandingFit } from '../fit/keptState.ts'
import { fitProgressRows } from '../fit/table.ts'
import { borrowedRows, forgottenRows } from './table.ts'
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
  const [borrowed, gone] = await Promise.all([
    database.read.select().from(borrowedRows).orderBy(asc(borrowedRows.broughtAt)),
    database.read.select().from(forgottenRows),
  ])
  const forgottenAt = new Map(gone.map(({ modelId, slot, at }) => [`${modelId} ${slot}`, at]))
  const files = borrowed.flatMap(({ document, ...file }) =>
    readEachStored(database, 'factsFile', [{ id: file.id, document }]).map(({ facts }) => ({ ...file, facts })),
  )
  const facts: FitFact[] = files.flatMap(({ id, facts: own }) => own.map((fact) => elsewhere(id, fact)))
  for (const row of rows) {
    const taught = await taughtOf(database, row)
    if (taught === null || row.finishedAt === null) continue
    if (row.finishedAt <= (forgottenAt.get(`${row.modelId} ${row.slot}`) ?? '')) continue
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
  return {
    facts,
    borrowed: files.map(({ facts: own, ...file }) => ({ ...file, facts: own.length })),
    forgotten: gone,
  } as FitFacts
}

/** Vehicles and hands of another shop are none of this one, whatever they are called. */
const elsewhere = (file: string, fact: FitFact): FitFact => ({
  ...fact,
  partId: `${file.slice(0, 8)}-${fact.partId.slice(0, 50)}`,
  body: `${file} ${fact.body}`,
  hand: `${file.slice(0, 8)}-${fact.hand.slice(0, 50)}`,
})

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
