import type { BatchDraft } from '@truelay/contract'
import { eq } from 'drizzle-orm'
import type { Database } from '../database/openDatabase.ts'
import { supplyRows } from './table.ts'

/** Takes what was poured off the supplies; never below nothing. */
export async function takeOff(db: Database['read'], add: BatchDraft['add']): Promise<void> {
  for (const { what, ml } of add) {
    const [row] = await db.select().from(supplyRows).where(eq(supplyRows.what, what))
    if (row !== undefined)
      await db
        .update(supplyRows)
        .set({ leftMl: Math.max(0, row.leftMl - ml) })
        .where(eq(supplyRows.what, what))
  }
}
