import type { ArrivedPiece, Film, JobBundle, Piece } from '@truelay/contract'
import type { NestRequest } from '@truelay/core/nest'
import { mayTurnOnRoll } from '@truelay/core/plan'
import type { Practice } from '@truelay/core/practice'

/** A piece of the job and how many of it are still to be cut. */
export interface ToCut {
  readonly piece: Piece
  readonly lacking: number
}

/** What of the job is cut from one film. */
export interface FilmToCut {
  readonly film: Film
  readonly pieces: readonly ToCut[]
}

/** The pieces of a job's parts, film by film, less what has been counted already. */
export function filmsToCut({ films, parts, pieces }: JobBundle, arrived: readonly ArrivedPiece[]): FilmToCut[] {
  const wanted = pieces.filter(({ id }) => parts.some(({ pieceId }) => pieceId === id))
  return films.flatMap((film) => {
    const own = wanted.filter(({ filmId }) => filmId === film.id)
    const there = (piece: Piece) => arrived.find(({ pieceId }) => pieceId === piece.id)?.arrived ?? 0
    const toCut = own.map((piece) => ({ piece, lacking: Math.max(0, piece.count - there(piece)) }))
    return toCut.length === 0 ? [] : [{ film, pieces: toCut }]
  })
}

/** Clear film lies in any quarter turn; tint and prints have a direction, and may only stand on their heads. */
const turnsOf = (film: Film) => (mayTurnOnRoll(film) ? [0, 90, 180, 270] : [0, 180])

/** What the roll is asked for: the chosen counts of each piece. */
export function cutQuestion(
  { film, pieces }: FilmToCut,
  counts: Readonly<Record<string, number>>,
  practice: Practice,
  rollWidthMm: number,
): NestRequest {
  return {
    rollWidthMm,
    gapMm: practice.cutGap,
    borderMm: practice.cutBorder,
    pieces: pieces.flatMap(({ piece, lacking }) => {
      const count = counts[piece.id] ?? lacking
      const { outline, cutOuts } = piece.pattern
      return count === 0 ? [] : [{ id: piece.id, name: piece.name, count, outline, cutOuts, turns: turnsOf(film) }]
    }),
  }
}
