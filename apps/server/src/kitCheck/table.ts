import type { ArrivedPiece } from '@truelay/contract'
import { primaryKey, sqliteTable, text } from 'drizzle-orm/sqlite-core'
import { jobs } from '../jobs/table.ts'
import { pieces } from '../shelf/table.ts'

export const arrivals = sqliteTable(
  'arrivals',
  {
    jobId: text('job_id')
      .notNull()
      .references(() => jobs.id),
    pieceId: text('piece_id')
      .notNull()
      .references(() => pieces.id),
    document: text('document', { mode: 'json' }).$type<ArrivedPiece>().notNull(),
  },
  (table) => [primaryKey({ columns: [table.jobId, table.pieceId] })],
)
