import type { ArrivedDraft, ArrivedPiece, JobId, KitCheck, PieceId } from '@truelay/contract'
import { name, say } from '@truelay/core/say'
import { eq } from 'drizzle-orm'
import type { Database } from '../database/openDatabase.ts'
import { readJob } from '../jobs/queries.ts'
import { NotFound } from '../reply/reply.ts'
import { readPieces } from '../shelf/queries.ts'
import { arrivals } from './table.ts'
import { readEachStored, toStored } from '../database/stored.ts'

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
    const arrived: ArrivedPiece = { ...draft, pieceId, at: now.toISOString() }
    const document = toStored('arrivedPiece', arrived)
    await db
      .insert(arrivals)
      .values({ jobId: id, pieceId, document })
      .onConflictDoUpdate({ target: [arrivals.jobId, arrivals.pieceId], set: { document } })
    return arrived
  })
