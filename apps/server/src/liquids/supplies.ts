import type { BatchDraft } from '@truelay/contract'
import { eq, sql } from 'drizzle-orm'
import type { Tables } from '../database/openDatabase.ts'
import { supplyRows } from './table.ts'

/** Takes what was poured off the supplies; never below nothing. */
export async function takeOff(db: Tables, add: BatchDraft['add']): Promise<void> {
  for (const { what, ml } of add) {
    await db
      .update(supplyRows)
      .set({ leftMl: sql`max(0, ${supplyRows.leftMl} - ${ml})` })
      .where(eq(supplyRows.what, what))
  }
}

/** Gives back what turned out not to have been poured. */
export async function giveBack(db: Tables, add: BatchDraft['add']): Promise<void> {
  for (const { what, ml } of add) {
    await db
      .update(supplyRows)
      .set({ leftMl: sql`${supplyRows.leftMl} + ${ml}` })
      .where(eq(supplyRows.what, what))
  }
}
