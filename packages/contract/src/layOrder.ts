import { ordersMade, schoolNames } from '@truelay/core/lay'
import type { ChosenOrder } from '@truelay/core/plan'
import { z } from 'zod'
import { point } from '@truelay/core/geometry'
import { mirrors } from '@truelay/core/schema'
import { sentence } from '@truelay/core/say'

const share = z.number().min(0).max(1)

/** An order of laying as it is kept with a part. */
export const layOrder = z.strictObject({
  school: z.enum(schoolNames),
  made: z.enum(ordersMade),
  anchors: z
    .array(z.strictObject({ label: sentence, at: point, pullShare: share }))
    .max(12)
    .readonly(),
  from: z.array(point).min(1).max(2000).readonly(),
  fromLabel: sentence.nullable(),
  flatFirst: share,
  spiral: z.boolean(),
  strokeMm: z.number().min(1).max(3000),
})

/** The order that an installer has chosen for a part, and why. */
export const chosenOrder = mirrors<ChosenOrder>()(z.strictObject({ order: layOrder, because: sentence }))
