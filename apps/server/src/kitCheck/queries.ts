import type { ArrivedDraft, ArrivedPiece, JobId, KitCheck, PieceId } from '@truelay/contract'
import { name, say } from '@truelay/core/say'
import { and, eq, inArray } from 'drizzle-orm'
import type { Database } from '../database/openDatabase.ts'
import { readJob } from '../jobs/queries.ts'
import { NotFound } from '../reply/reply.ts'
import { readPieces } from '../shelf/queries.ts'
import { arrivals } from './table.ts'
import { readEachStored, readStored, toStored } from '../database/stored.ts'

export async function readKitCheck(database: Database, id: JobId): Promise<KitCheck> {
  await readJob(database, id)
  const rows = await database.read.select().from(arrivals).where(eq(arrivals.jobId, id))
  const arrived = readEachStored(
    database,
    'arrivedPiece',
    rows.map((row) => ({ id: row.pieceId, document: row.document })),
  )
  return { jobId: id, arrived }
}

/** What was counted for some jobs. */
export async function readArrivedOf(
  database: Database,
  jobs: readonly JobId[],
): Promise<(job: JobId, piece: PieceId) => ArrivedPiece | undefined> {
  const rows = await database.read
    .select()
    .from(arrivals)
    .where(inArray(arrivals.jobId, [...jobs]))
  const known = new Map(
    rows.flatMap((row) =>
      readEachStored(database, 'arrivedPiece', [{ id: row.pieceId, document: row.document }]).map(
        (arrived) => [`${row.jobId} ${row.pieceId}`, arrived] as const,
      ),
    ),
  )
  return (job, piece) => known.get(`${job} ${piece}`)
}

/** How many of a piece came with the kit of a job, and from which lot. */
export const saveArrived = (
  database: Database,
  id: JobId,
  pieceId: PieceId,
  draft: ArrivedDraft,
  now: Date,
): Promise<ArrivedPiece> =>
  database.write(async (db) => {
    await readJob(database, id)
    if ((await readPieces(database, [pieceId])).length === 0)
      throw new NotFound(
        say`No piece is called "${name(pieceId)}".`,
        say`Scan a label of this shop, or tick the piece in the list.`,
      )
    const [row] = await db
      .select()
      .from(arrivals)
      .where(and(eq(arrivals.jobId, id), eq(arrivals.pieceId, pieceId)))
    const before = row === undefined ? null : readStored('arrivedPiece', pieceId, row.document)
    const lots = lotsAfter(before, draft)
    const arrived: ArrivedPiece = {
      ...draft,
      pieceId,
      at: now.toISOString(),
      // Taken back to one lot, it is that one.
      ...(lots.length === 1 ? { lot: lots[0]?.lot ?? draft.lot } : lots.length > 1 ? { lots } : {}),
    }
    const document = toStored('arrivedPiece', arrived)
    await db
      .insert(arrivals)
      .values({ jobId: id, pieceId, document })
      .onConflictDoUpdate({ target: [arrivals.jobId, arrivals.pieceId], set: { document } })
    return arrived
  })

type Lots = NonNullable<ArrivedPiece['lots']>

/** What comes on top is of the lot that is told, what is taken back too; as many with another lot puts right what was told before. */
function lotsAfter(before: ArrivedPiece | null, { arrived, lot }: ArrivedDraft): Lots {
  const more = arrived - (before?.arrived ?? 0)
  if (before === null || before.arrived === 0 || more === 0) return before?.lot === lot ? (before.lots ?? []) : []
  const lots = before.lots ?? [{ lot: before.lot, count: before.arrived }]
  if (!lots.some((of) => of.lot === lot)) return more > 0 ? [...lots, { lot, count: more }] : []
  return lots.map((of) => (of.lot === lot ? { lot, count: of.count + more } : of)).filter((of) => of.count > 0)
}
