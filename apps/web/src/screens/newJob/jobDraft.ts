import { newPart } from '@truelay/contract'
import { z } from 'zod'
import { keptDraft } from '../../ui/keptDraft.ts'

const typed = z.record(z.string(), z.string())
const draft = z.object({ modelId: z.string(), typed, parts: z.array(newPart) })
export type JobDraft = z.infer<typeof draft>

/** A job that was begun and not taken in. */
export const jobDraft = keptDraft<JobDraft>('new job', (stored) => draft.safeParse(stored).data ?? null)
