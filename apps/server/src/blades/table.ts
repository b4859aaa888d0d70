import type { BladeStroke } from '@truelay/contract'
import { integer, sqliteTable, text } from 'drizzle-orm/sqlite-core'

/** The blade book: rows are added, never changed. Cuts of fits stand in the log of the fits. */
export const bladeRows = sqliteTable('blade_entries', {
  place: integer('place').primaryKey({ autoIncrement: true }),
  id: text('id').notNull().unique(),
  entry: text('entry', { mode: 'json' }).$type<BladeStroke>().notNull(),
})
