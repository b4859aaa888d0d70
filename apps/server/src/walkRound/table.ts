import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core'
import { jobs } from '../jobs/table.ts'
import { storedColumn } from '../database/stored.ts'

export const findingRows = sqliteTable(
  'findings',
  {
    place: integer('place').primaryKey({ autoIncrement: true }),
    id: text('id').notNull().unique(),
    jobId: text('job_id')
      .notNull()
      .references(() => jobs.id),
    document: storedColumn('document').notNull(),
  },
  (table) => [index('findings_by_job').on(table.jobId, table.place)],
)
