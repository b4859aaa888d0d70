import { z } from 'zod'
import { jobId, moment, personId, pieceId } from './ids.ts'

/** What was counted of one piece when the kit was unpacked. */
export const arrivedPiece = z.strictObject({
  pieceId,
  arrived: z.number().int().min(0).max(40),
  lot: z.string().trim().min(1).max(40),
  personId,
  at: moment,
})
export type ArrivedPiece = z.infer<typeof arrivedPiece>
export const arrivedDraft = arrivedPiece.pick({ arrived: true, lot: true, personId: true })
export type ArrivedDraft = z.infer<typeof arrivedDraft>

export const kitCheck = z.strictObject({ jobId, arrived: z.array(arrivedPiece) })
export type KitCheck = z.infer<typeof kitCheck>
