import { waterKinds } from '@truelay/core/mix'
import { say, sentence } from '@truelay/core/say'
import { z } from 'zod'
import { asIssue } from './failure.ts'
import { batchId, jobId, moment, partId, personId } from './ids.ts'
import { addition, ingredient, liquidSchool, strength } from './partPlan.ts'

const volumeMl = z.number().min(0).max(100_000)
export const waterKind = z.enum(waterKinds)

/** What can happen to a batch. */
export const batchNotes = ['mixed', 'put right', 'topped up', 'level', 'emptied'] as const

/** More notes of one bottle than this are not kept. */
export const mostBatchNotes = 200

/** What happened to a batch, in order. */
const batchNote = z.strictObject({
  at: moment,
  personId,
  what: z.enum(batchNotes),
  says: sentence,
  /** What was in the bottle afterwards. */
  leftMl: volumeMl,
})

/** A bottle of something mixed, as it stands in the shop. */
export const batch = z.strictObject({
  id: batchId,
  number: z.string().min(1).max(30),
  says: sentence,
  /** Null where it was mixed to a strength of its own. */
  school: liquidSchool.nullable(),
  strength,
  bottleMl: volumeMl,
  leftMl: volumeMl,
  waterKind,
  add: z.array(addition).max(10),
  mixedAt: moment,
  personId,
  emptiedAt: moment.nullable(),
  history: z.array(batchNote).max(mostBatchNotes),
})
export type LiquidBatch = z.infer<typeof batch>

export const batchDraft = batch
  .omit({ number: true, mixedAt: true, emptiedAt: true, history: true })
  .refine((draft) => draft.leftMl <= draft.bottleMl, {
    path: ['leftMl'],
    ...asIssue(say`is more than the bottle holds`),
  })
export type BatchDraft = z.infer<typeof batchDraft>

/** A change to a batch that stands in the shop. */
export const batchChange = z.discriminatedUnion('what', [
  z.strictObject({ what: z.literal('level'), personId, leftMl: volumeMl }),
  z.strictObject({ what: z.literal('emptied'), personId }),
  z.strictObject({
    what: z.enum(['put right', 'topped up']),
    personId,
    strength,
    leftMl: volumeMl,
    pourOffMl: volumeMl,
    add: z.array(addition).max(10),
    says: sentence,
    school: liquidSchool.nullable(),
  }),
])
export type BatchChange = z.infer<typeof batchChange>

/** What a batch is mixed from, as it stands on the shelf. */
export const supply = z.strictObject({ what: ingredient, leftMl: volumeMl })
export type Supply = z.infer<typeof supply>

/** What a job still takes from the shelf, and what has been learned about such figures. */
export const liquids = z.strictObject({
  batches: z.array(batch),
  supplies: z.array(supply),
  needs: z.array(
    z.strictObject({
      jobId,
      number: z.string(),
      vehicle: z.string(),
      dueAt: moment,
      slipMl: z.number(),
      tackMl: z.number(),
      needs: z.array(addition),
      /** Part by part, of those that are not begun: which liquids it takes. */
      parts: z
        .array(
          z.strictObject({
            partId,
            solutions: z.array(
              z.strictObject({ use: z.enum(['slip', 'tack']), school: liquidSchool, needMl: z.number() }),
            ),
          }),
        )
        .optional(),
    }),
  ),
  learned: z.strictObject({ factor: z.number(), sigma: z.number(), uses: z.number().int() }),
})
export type Liquids = z.infer<typeof liquids>

/** What the label of a bottle says to a reader of codes. */
export const bottleLabelOf = (b: Pick<LiquidBatch, 'id' | 'number'>) => `TLB1/${b.id}/${b.number}`
