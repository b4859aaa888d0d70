import {
  type ArrivedDraft,
  type ArrivedPiece,
  arrivedPiece,
  type JobId,
  type KitCheck,
  type PieceId,
} from '@truelay/contract'
import { eq } from 'drizzle-orm'
import type { Database } from '../database/openDatabase.ts'
import { readJob } from '../jobs/queries.ts'
import { NotFound } from '../reply/reply.ts'
import { readPieces } from '../shelf/queries.ts'
import { arrivals } from './table.ts'

export async function readKitCheck(database: Database, id: JobId): Promise<KitCheck> {
  await readJob(database, id)
  const rows = await database.read.select().from(arrivals).where(eq(arrivals.jobId, id))
  return { jobId: id, arrived: rows.map((row) => arrivedPiece.parse(row.document)) }
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
        `No piece is called "${pieceId}".`,
        'Scan a label of this shop, or tick the piece in the list.',
      )
    const document: ArrivedPiece = { ...draft, pieceId, at: now.toISOString() }
    await db
      .insert(arrivals)
      .values({ jobId: id, pieceId, document })
      .onConflictDoUpdate({ target: [arrivals.jobId, arrivals.pieceId], set: { document } })
    return document
  })
