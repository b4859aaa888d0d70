import { sqliteTable, text } from 'drizzle-orm/sqlite-core'
import { storedColumn } from '../database/stored.ts'

/** The plan of the day as it was last reckoned: one row. */
export const dayPlanRows = sqliteTable('day_plans', {
  id: text('id').primaryKey(),
  /** Of what it is the plan: where this is another, it is reckoned anew. */
  of: text('of').notNull(),
  document: storedColumn('document').notNull(),
})
