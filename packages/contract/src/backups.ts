import { z } from 'zod'
import { moment } from './ids.ts'

/** One backup that lies on the server. */
const backup = z.strictObject({
  name: z.string().max(80),
  bytes: z.number().int().min(0),
  at: moment,
  /** Somebody asked for it; those that are made by themselves are taken away after a while. */
  byHand: z.boolean(),
})
export type Backup = z.infer<typeof backup>

export const backups = z.strictObject({
  /** Where they lie. */
  folder: z.string(),
  /** The latest first. */
  backups: z.array(backup).max(2000),
})
export type Backups = z.infer<typeof backups>
