import { index, sqliteTable, text } from 'drizzle-orm/sqlite-core'
import { storedColumn } from '../database/stored.ts'
import { jobs } from '../jobs/table.ts'

/** What was sent to the plotter; a row of its own for every time. */
export const cuts = sqliteTable(
  'cuts',
  {
    id: text('id').primaryKey(),
    jobId: text('job_id')
      .notNull()
      .references(() => jobs.id),
    document: storedColumn('document').notNull(),
  },
  (table) => [index('cuts_of_job').on(table.jobId)],
)
