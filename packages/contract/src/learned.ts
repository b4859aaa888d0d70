import { z } from 'zod'
import { waitKind } from '@truelay/core/plan'

/** What the answers of "was it ready?" have taught, by wait. */
export const learned = z.strictObject({
  waits: z.array(z.strictObject({ kind: waitKind, factor: z.number(), sigma: z.number(), answers: z.number().int() })),
})
export type Learned = z.infer<typeof learned>
