import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core'
import { storedColumn } from '../database/stored.ts'

export const rolls = sqliteTable('rolls', {
  id: text('id').primaryKey(),
  document: storedColumn('document').notNull(),
})

/** The books of the rolls: lines are added, never changed. */
export const rollLines = sqliteTable(
  'roll_lines',
  {
    place: integer('place').primaryKey({ autoIncrement: true }),
    id: text('id').notNull().unique(),
    rollId: text('roll_id')
      .notNull()
      .references(() => rolls.id),
    document: storedColumn('entry').notNull(),
  },
  (table) => [index('lines_of_roll').on(table.rollId)],
)
