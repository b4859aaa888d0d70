import type { CutDone, FilmOfJob, JobId, Part, Piece } from '@truelay/contract'
import { signedArea } from '@truelay/core/geometry'
import { rollAccount } from '@truelay/core/stock'
import { readCutsFor } from '../cuts/queries.ts'
import type { Database } from '../database/openDatabase.ts'
import { readJob, readParts } from '../jobs/queries.ts'
import { readPieces } from '../shelf/queries.ts'
import { readRoll, readRollLines } from '../stock/queries.ts'

/** The film that went into a job and what it cost, piece by piece, the latest cut first. */
export async function readFilmOfJob(database: Database, id: JobId): Promise<FilmOfJob> {
  await readJob(database, id)
  const [cuts, parts] = await Promise.all([readCutsFor(database, id), readParts(database, id)])
  const pieces = await readPieces(
    database,
    cuts.flatMap((cut) => cut.pieces.map(({ pieceId }) => pieceId)),
  )
  const lines = await Promise.all(cuts.map((cut) => linesOf(database, id, cut, pieces, parts)))
  return lines.flat()
}

async function linesOf(
  database: Database,
  id: JobId,
  cut: CutDone,
  pieces: readonly Piece[],
  parts: readonly Part[],
): Promise<FilmOfJob> {
  const { filmMm2, cost } = await accountOf(database, cut)
  const areaOf = (pieceId: string) => {
    const pattern = pieces.find((piece) => piece.id === pieceId)?.pattern
    return pattern === undefined ? 0 : Math.abs(signedArea(pattern.outline))
  }
  const own = cut.pieces.map((of) => ({ ...of, mm2: of.count * areaOf(of.pieceId) }))
  const piecesMm2 = own.reduce((sum, { mm2 }) => sum + mm2, 0)
  // What is not of pieces is of sheets, alike for each.
  const { sheets = [] } = cut
  const wholeMm2 = Math.max(piecesMm2, cut.piecesMm2 ?? 0, 1)
  const sheetMm2 = sheets.length === 0 ? 0 : (wholeMm2 - piecesMm2) / sheets.length
  const sumMm2 = Math.max(piecesMm2 + sheets.length * sheetMm2, 1)
  const line = (of: { readonly id: string; readonly name: string; readonly count: number }, mm2: number) => ({
    ...of,
    filmId: cut.filmId,
    lot: cut.lot,
    at: cut.at,
    filmMm2: (filmMm2 * mm2) / sumMm2,
    cost: cost === null ? null : (cost * mm2) / sumMm2,
  })
  const nameOf = (pieceId: string) => pieces.find((piece) => piece.id === pieceId)?.name ?? pieceId
  return [
    ...own
      .filter(({ jobId = cut.jobId }) => jobId === id)
      .map(({ pieceId, count, mm2 }) => line({ id: pieceId, name: nameOf(pieceId), count }, mm2)),
    ...parts
      .filter((part) => sheets.includes(part.id))
      .map((part) => line({ id: part.id, name: part.name, count: 1 }, sheetMm2)),
  ]
}

/** The film of a cut by the book of its roll; without a book all of its stretch, and no price. */
async function accountOf(database: Database, { id, from, usedLengthMm, rollWidthMm }: CutDone) {
  if (from === undefined) return { filmMm2: usedLengthMm * rollWidthMm, cost: null }
  const roll = await readRoll(database, from.rollId)
  const lines = await readRollLines(database, roll.id)
  const { cuts } = rollAccount(
    roll,
    lines.map(({ happened }) => happened),
  )
  return cuts.find(({ cutId }) => cutId === id) ?? { filmMm2: usedLengthMm * rollWidthMm, cost: null }
}
