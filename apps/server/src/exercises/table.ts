import { integer, sqliteTable, text } from 'drizzle-orm/sqlite-core'
import { storedColumn } from '../database/stored.ts'

/** What was practised: rows are added, never changed. */
export const exerciseRows = sqliteTable('exercise_runs', {
  place: integer('place').primaryKey({ autoIncrement: true }),
  id: text('id').notNull().unique(),
  document: storedColumn('run').notNull(),
})
