import { type JobId, type NewPart, partId, type VehicleModel } from '@truelay/contract'
import type { Database } from '../database/openDatabase.ts'
import { readPieces, standingPiece, standingVersionOf } from '../shelf/queries.ts'
import type { parts } from './table.ts'

interface WantedPart {
  readonly job: JobId
  /** Its place in the job, from 0. */
  readonly place: number
  readonly wish: NewPart
  readonly model: VehicleModel
}

/** A part of a job as it is wished for, with the form and the piece that the model knows. */
export async function rowOfPart(
  database: Database,
  { job, place, wish, model }: WantedPart,
): Promise<typeof parts.$inferInsert> {
  const known = model.parts.find((p) => p.slot === wish.slot && p.name === wish.name)
  const formVersion = known?.formId ? await standingVersionOf(database, known.formId) : null
  // A piece that was cut from another film is none for this one.
  const sameFilm = known?.filmId === null || known?.filmId === wish.filmId
  const pieceId = sameFilm && known?.pieceId ? await standingPiece(database, known.pieceId) : null
  const [piece] = pieceId === null ? [] : await readPieces(database, [pieceId])
  // Where its fits have shown that it sits is where it is begun.
  const sits = piece?.sits ?? { xMm: 0, yMm: 0, turnDeg: 0 }
  return {
    id: partId.parse(`${job}-${String(place + 1).padStart(2, '0')}`),
    jobId: job,
    place,
    name: wish.name,
    slot: wish.slot,
    within: known?.within,
    formId: formVersion === null ? null : (known?.formId ?? null),
    formVersion,
    filmId: wish.filmId,
    pieceId,
    shiftXMm: sits.xMm,
    shiftYMm: sits.yMm,
    shiftTurnDeg: sits.turnDeg,
  }
}
