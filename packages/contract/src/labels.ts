import { sentence } from '@truelay/core/say'
import { z } from 'zod'

/** One label: its square code, and what is read beside it; the first line is the largest. */
export const label = z.strictObject({
  code: z.string().min(1).max(160),
  lines: z.array(z.string().min(1).max(80)).min(1).max(4),
})
export type Label = z.infer<typeof label>

/** Labels to be printed at once. */
export const labelsToPrint = z.strictObject({ labels: z.array(label).min(1).max(200) })
export type LabelsToPrint = z.infer<typeof labelsToPrint>

/** What became of something that was sent to a device; says why where it was not taken. */
export const sentToDevice = z.strictObject({ taken: z.boolean(), says: sentence })
export type SentToDevice = z.infer<typeof sentToDevice>

/** A square to be cut and measured. */
export const testSquareWish = z.strictObject({ sideMm: z.number().min(50).max(1000) })
