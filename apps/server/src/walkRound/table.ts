import type { Finding } from '@truelay/contract'
import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core'
import { jobs } from '../jobs/table.ts'

export const findingRows = sqliteTable(
  'findings',
  {
    place: integer('place').primaryKey({ autoIncrement: true }),
    id: text('id').notNull().unique(),
    jobId: text('job_id')
      .notNull()
      .references(() => jobs.id),
    document: text('document', { mode: 'json' }).$type<Finding>().notNull(),
  },
  (table) => [index('findings_by_job').on(table.jobId, table.place)],
)
