import type { FilmOutlook, RollAccount, RollEntry } from '@truelay/core/stock'
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

const areaMm2 = z.number().min(0)

/** What a roll has left, and what became of the rest. */
export const rollAccountOf = z.strictObject({
  leftMm: z.number().min(0),
  overdrawnMm: z.number().min(0),
  spoilt: z.array(z.tuple([z.number(), z.number()]).readonly()).readonly(),
  offcuts: z.array(z.strictObject({ offcutId, widthMm: z.number(), lengthMm: z.number() })).readonly(),
  cuts: z
    .array(z.strictObject({ cutId: z.string(), filmMm2: areaMm2, piecesMm2: areaMm2, cost: z.number().nullable() }))
    .readonly(),
  gone: z.boolean(),
})
mirrors<RollAccount>()(rollAccountOf)

export const countedRoll = z.strictObject({ roll: rollDoc, account: rollAccountOf })
export type CountedRoll = z.infer<typeof countedRoll>

const outlook = z.strictObject({
  leftMm: z.number(),
  needMm: z.number(),
  afterMm: z.number(),
  firstShort: z.strictObject({ jobId, at: moment, lackingMm: z.number() }).nullable(),
  reorder: z.boolean(),
})
mirrors<FilmOutlook>()(outlook)

/** All rolls that are not gone, the oldest first, and how far each film lasts. */
export const stock = z.strictObject({
  rolls: z.array(countedRoll),
  films: z.array(
    z.strictObject({
      filmId,
      outlook,
      /** The share of film that becomes pieces, and whether the shop's own cuts told it. */
      yieldShare: z.number(),
      yieldIsOwn: z.boolean(),
      /** The jobs that need it, by their time, with their numbers. */
      jobs: z.array(z.strictObject({ jobId, number: z.string(), at: moment })),
    }),
  ),
})
export type Stock = z.infer<typeof stock>
export type FilmInStock = Stock['films'][number]

/** One roll with its book, the latest first; cuts with the job that they were for. */
export const rollBook = z.strictObject({
  ...countedRoll.shape,
  lines: z.array(rollEntry.extend({ job: z.strictObject({ jobId, number: z.string() }).nullable() })),
})
export type RollBook = z.infer<typeof rollBook>
