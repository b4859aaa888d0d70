import type { RollEntry } from '@truelay/core/stock'
import { mirrors } from '@truelay/core/schema'
import { z } from 'zod'
import { filmId, jobId, moment, offcutId, partId, personId, rollId } from './ids.ts'

const widthMm = z.number().min(50).max(3000)
const lengthMm = z.number().min(1).max(200_000)

/** A roll of film in the shop. Its id is short: it stands on the label in its core. */
export const rollDoc = z.strictObject({
  id: rollId,
  filmId,
  lot: z.string().trim().min(1).max(40),
  widthMm,
  /** As it came. */
  lengthMm: lengthMm.min(100),
  /** In the shop's money; null where nobody said. */
  price: z.number().min(0).max(1_000_000).nullable(),
  cameAt: moment,
})
export type Roll = z.infer<typeof rollDoc>

/** A roll as it is put on the shelf; the shop gives it its id. */
export const newRoll = rollDoc.omit({ id: true })
export type NewRoll = z.infer<typeof newRoll>

/** What the label in the core of a roll says. */
export const rollLabelOf = ({ id, lot }: Pick<Roll, 'id' | 'lot'>) => `TLR1/${id}/${lot}`

const happened = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('cut'),
    cutId: z.uuid(),
    lengthMm,
    piecesMm2: z.number().min(0).max(1e9),
    offcutId: offcutId.nullable(),
  }),
  z.strictObject({ kind: z.literal('measured'), leftMm: z.number().min(0).max(200_000) }),
  z
    .strictObject({
      kind: z.literal('spoilt'),
      fromMm: z.number().min(0).max(200_000),
      toMm: z.number().min(1).max(200_000),
    })
    .refine(({ fromMm, toMm }) => toMm > fromMm, { path: ['toMm'] }),
  z.strictObject({
    kind: z.literal('offcut kept'),
    offcutId,
    cutId: z.uuid().nullable(),
    widthMm,
    lengthMm: lengthMm.min(50),
  }),
  z.strictObject({ kind: z.literal('offcut gone'), offcutId }),
  z.strictObject({ kind: z.literal('gone') }),
  z.strictObject({ kind: z.literal('back') }),
])
mirrors<RollEntry>()(happened)

const note = z.strictObject({ id: z.uuid(), at: moment, personId, happened })

/** A line in the book of a roll; never changed, only added to. Cuts write theirs themselves. */
export const rollEntry = note.extend({
  rollId,
  /** The job that a cut was for. */
  jobId: jobId.nullable(),
  /** The parts whose sheets it was. */
  sheets: z.array(partId).max(60),
})
export type RollLine = z.infer<typeof rollEntry>

/** What a person writes into the book of a roll. */
export const rollNote = note.refine(({ happened }) => happened.kind !== 'cut', {
  path: ['happened', 'kind'],
})
export type RollNote = z.infer<typeof rollNote>
