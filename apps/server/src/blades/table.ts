import { integer, sqliteTable, text } from 'drizzle-orm/sqlite-core'
import { storedColumn } from '../database/stored.ts'

/** The blade book: rows are added, never changed. Cuts of fits stand in the log of the fits. */
export const bladeRows = sqliteTable('blade_entries', {
  place: integer('place').primaryKey({ autoIncrement: true }),
  id: text('id').notNull().unique(),
  document: storedColumn('entry').notNull(),
})
