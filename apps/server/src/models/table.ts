import { sqliteTable, text } from 'drizzle-orm/sqlite-core'
import { storedColumn } from '../database/stored.ts'

export const models = sqliteTable('models', {
  id: text('id').primaryKey(),
  document: storedColumn('document').notNull(),
})
