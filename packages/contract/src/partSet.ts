import { type PartSet as SetOfParts, setModes } from '@truelay/core/pieces'
import { mirrors } from '@truelay/core/schema'
import { z } from 'zod'

/** Parts that one person fits together, in the order in which they are laid. */
export const partSet = z.strictObject({ mode: z.enum(setModes), partIds: z.array(z.string().min(1).max(60)).max(60) })
mirrors<SetOfParts>()(partSet)
export type PartSet = z.infer<typeof partSet>

/** The sets of a job; a part is in one at most. */
export const partSets = z.array(partSet).max(30)
