import { z } from 'zod'
import { jobId, moment, personId, pieceId } from './ids.ts'

/** What was counted of one piece when the kit was unpacked. */
export const arrivedPiece = z.strictObject({
  pieceId,
  arrived: z.number().int().min(0).max(40),
  /** The latest, where they came from several. */
  lot: z.string().trim().min(1).max(40),
  /** How many of each lot; left out where all are of one. */
  lots: z
    .array(z.strictObject({ lot: z.string(), count: z.number().int().min(1) }))
    .min(2)
    .max(40)
    .optional(),
  personId,
  at: moment,
})
export type ArrivedPiece = z.infer<typeof arrivedPiece>
export const arrivedDraft = arrivedPiece.pick({ arrived: true, lot: true, personId: true })
export type ArrivedDraft = z.infer<typeof arrivedDraft>

/** The lots of what was counted, each once. */
export const lotsOf = ({ lot, lots }: Pick<ArrivedPiece, 'lot' | 'lots'>): string[] =>
  lots === undefined ? [lot] : lots.map((of) => of.lot)

export const kitCheck = z.strictObject({ jobId, arrived: z.array(arrivedPiece) })
export type KitCheck = z.infer<typeof kitCheck>
