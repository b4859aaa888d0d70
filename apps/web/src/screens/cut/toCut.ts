import type { Film, JobId, PartId, PieceId } from '@truelay/contract'
import type { Polygon, Vec2 } from '@truelay/core/geometry'

/** A piece of the job, or the sheet of a part that is cut from the roll, and how many of it are still to be cut. */
export interface ToCut {
  readonly id: string
  readonly name: string
  readonly outline: Polygon
  readonly cutOuts: readonly Polygon[]
  /** Where it meets its part. */
  readonly marks: readonly Vec2[]
  readonly lacking: number
  /** What it is: a piece of a kit, or the sheet of a part. */
  /** The job that it is for, where that is another one that is cut together with this. */
  readonly forJob?: { readonly id: JobId; readonly number: string }
  readonly of: { readonly pieceId: PieceId } | { readonly sheetOf: PartId }
}

/** What of the job is cut from one film. */
export interface FilmToCut {
  readonly film: Film
  readonly pieces: readonly ToCut[]
}
