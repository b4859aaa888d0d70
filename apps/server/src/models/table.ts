import { sqliteTable, text } from 'drizzle-orm/sqlite-core'
import { storedColumn } from '../database/stored.ts'

export const models = sqliteTable('models', {
  id: text('id').primaryKey(),
  document: storedColumn('document').notNull(),
  /** Taken off the list; jobs that were done on it stay what they were. */
  removedAt: text('removed_at'),
})
