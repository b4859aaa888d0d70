import type { KeptWrite } from './writeStore.ts'

/** What waits on this tablet for the server. */
export interface KeptWrites {
  /** Keeps it on this tablet, and sends it when the server answers. */
  add(write: Omit<KeptWrite, 'at' | 'refused'>): Promise<void>
  /** Something waits that is not refused: what comes now goes behind it. */
  readonly waits: () => boolean
  readonly sendNow: () => void
  /** Somebody has read why it was not taken. */
  putAway(id: string): Promise<void>
}

type Keeper = Pick<KeptWrites, 'add' | 'waits'>

let kept: Keeper | null = null

/** From now on writes that may be kept on this tablet are. */
export const keepWritesWith = (writes: Keeper): void => {
  kept = writes
}
export const keeper = (): Keeper | null => kept
