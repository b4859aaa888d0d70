import { z } from 'zod'
import { moment } from './ids.ts'

/** What can be taken off its list; the plural is its address. */
export const removableKinds = ['films', 'pieces', 'kits', 'forms', 'models'] as const
export type RemovableKind = (typeof removableKinds)[number]

/** Something that was taken off its list and can come back. */
export const removedThing = z.strictObject({
  kind: z.enum(removableKinds),
  id: z.string(),
  name: z.string(),
  removedAt: moment,
})
export type RemovedThing = z.infer<typeof removedThing>
export const removedThings = z.array(removedThing)
