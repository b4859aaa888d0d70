import type { FitEvent } from '@truelay/contract'
import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core'
import { parts } from '../jobs/table.ts'

/** The log of all fits: rows are added, never changed. `place` is the order in which they arrived. */
export const fitEventRows = sqliteTable(
  'fit_events',
  {
    place: integer('place').primaryKey({ autoIncrement: true }),
    id: text('id').notNull().unique(),
    partId: text('part_id')
      .notNull()
      .references(() => parts.id),
    event: text('event', { mode: 'json' }).$type<FitEvent>().notNull(),
    receivedAt: text('received_at').notNull(),
  },
  (table) => [index('fit_events_by_part').on(table.partId, table.place)],
)
