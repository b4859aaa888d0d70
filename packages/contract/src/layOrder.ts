import { schoolNames } from '@truelay/core/lay'
import type { ChosenOrder } from '@truelay/core/plan'
import { z } from 'zod'
import { point } from './geometry.ts'

const share = z.number().min(0).max(1)

/** An order of laying as it is kept with a part. */
export const layOrder = z.strictObject({
  school: z.enum(schoolNames),
  name: z.string().min(1).max(60),
  anchors: z.array(z.strictObject({ label: z.string().min(1).max(120), at: point, pullShare: share })).max(12),
  from: z.array(point).min(1).max(2000),
  fromLabel: z.string().min(1).max(120),
  flatFirst: share,
  spiral: z.boolean(),
  strokeMm: z.number().min(1).max(3000),
})

/** The order that an installer has chosen for a part, and why. */
export const chosenOrder = z.strictObject({
  order: layOrder,
  because: z.string().max(600),
}) satisfies z.ZodType<ChosenOrder>
