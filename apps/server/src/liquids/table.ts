import type { Ingredient } from '@truelay/core/mix'
import { real, sqliteTable, text } from 'drizzle-orm/sqlite-core'
import { storedColumn } from '../database/stored.ts'

export const batchRows = sqliteTable('batches', {
  id: text('id').primaryKey(),
  mixedAt: text('mixed_at').notNull(),
  document: storedColumn('document').notNull(),
})

/** What batches are mixed from. */
export const supplyRows = sqliteTable('supplies', {
  what: text('what').$type<Ingredient>().primaryKey(),
  leftMl: real('left_ml').notNull(),
})
