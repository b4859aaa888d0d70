import { sentence } from '@truelay/core/say'
import { z } from 'zod'
import { filmId, jobId, moment, offcutId, partId, personId, pieceId, rollId } from './ids.ts'

/** Where in the shop the film of a cut came from, and what of it was put by. */
export const cutFrom = z.strictObject({
  rollId,
  /** Null where it came off the roll itself. */
  offcutId: offcutId.nullable(),
  keeps: z
    .strictObject({ offcutId, widthMm: z.number().min(50).max(3000), lengthMm: z.number().min(50).max(200_000) })
    .nullable(),
})
export type CutFrom = z.infer<typeof cutFrom>

const cutFields = z.strictObject({
  /** Made by the sender: the same cut is never cut twice. */
  id: z.uuid(),
  filmId,
  lot: z.string().trim().min(1).max(40),
  personId,
  rollWidthMm: z.number().positive().max(10_000),
  usedLengthMm: z.number().positive().max(1_000_000),
  pieces: z
    .array(
      z.strictObject({
        pieceId,
        count: z.number().int().min(1).max(40),
        /** The job that it is for, where that is another than the cut's own. */
        jobId: jobId.optional(),
      }),
    )
    .max(200),
  /** Parts whose sheets were cut off the roll. */
  sheets: z.array(partId).max(60).optional(),
  /** How much of the film became pieces. */
  piecesMm2: z.number().min(0).max(1e9).optional(),
  /** Left out where the shop keeps no book of that roll. */
  from: cutFrom.optional(),
  /** HPGL; null where it is cut already, elsewhere or by hand. */
  file: z.string().min(1).max(3_000_000).nullable(),
})

/** A cut as it is sent: which pieces, from which roll, and the file for the plotter. */
export const cutDraft = cutFields.refine(({ pieces, sheets = [] }) => pieces.length + sheets.length > 0, {
  path: ['pieces'],
})
export type CutDraft = z.infer<typeof cutDraft>

/** How far a cut is: on its way; cut, and its pieces counted; refused by the plotter; or nobody knows, as the server ended meanwhile. */
export const cutStates = ['sending', 'cut', 'refused', 'not known'] as const

export const cutDone = cutFields.omit({ file: true }).extend({
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
