import { sentence } from '@truelay/core/say'
import { z } from 'zod'
import { filmId, jobId, moment, personId, pieceId } from './ids.ts'

/** A cut as it is sent to the plotter: which pieces, from which roll, and the file. */
export const cutDraft = z.strictObject({
  /** Made by the sender: the same cut is never cut twice. */
  id: z.uuid(),
  filmId,
  lot: z.string().trim().min(1).max(40),
  personId,
  rollWidthMm: z.number().positive().max(10_000),
  usedLengthMm: z.number().positive().max(1_000_000),
  pieces: z
    .array(z.strictObject({ pieceId, count: z.number().int().min(1).max(40) }))
    .min(1)
    .max(200),
  /** HPGL. */
  file: z.string().min(1).max(3_000_000),
})
export type CutDraft = z.infer<typeof cutDraft>

/** How far a cut is: on its way; cut, and its pieces counted; refused by the plotter; or nobody knows, as the server ended meanwhile. */
export const cutStates = ['sending', 'cut', 'refused', 'not known'] as const

export const cutDone = cutDraft.omit({ file: true }).extend({
  jobId,
  at: moment,
  state: z.enum(cutStates),
  /** Why it was not cut; empty where it was. */
  says: sentence,
})
export type CutDone = z.infer<typeof cutDone>

/** What the store keeps: with the file while it has not been sent. */
export const keptCut = cutDone.extend({ file: z.string().nullable() })
export type KeptCut = z.infer<typeof keptCut>
