import { primaryKey, sqliteTable, text } from 'drizzle-orm/sqlite-core'
import { jobs } from '../jobs/table.ts'
import { pieces } from '../shelf/table.ts'
import { storedColumn } from '../database/stored.ts'

export const arrivals = sqliteTable(
  'arrivals',
  {
    jobId: text('job_id')
      .notNull()
      .references(() => jobs.id),
    pieceId: text('piece_id')
      .notNull()
      .references(() => pieces.id),
    document: storedColumn('document').notNull(),
  },
  (table) => [primaryKey({ columns: [table.jobId, table.pieceId] })],
)
