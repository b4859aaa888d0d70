import type { FilmOutlook, RollAccount } from '@truelay/core/stock'
import { mirrors } from '@truelay/core/schema'
import { z } from 'zod'
import { filmId, jobId, moment, offcutId } from './ids.ts'
import { rollDoc, rollEntry } from './roll.ts'

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

/** The film that went into a job, piece by piece: its share of each cut by its own area. */
export const filmOfJob = z.array(
  z.strictObject({
    /** Of a piece or a part. */
    id: z.string(),
    name: z.string(),
    count: z.number().int(),
    filmId,
    lot: z.string(),
    at: moment,
    /** With its share of what was thrown away. */
    filmMm2: z.number(),
    /** In the shop's money; null where the roll has no price, or no book. */
    cost: z.number().nullable(),
  }),
)
export type FilmOfJob = z.infer<typeof filmOfJob>
