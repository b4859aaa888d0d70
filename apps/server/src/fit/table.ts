import type { FitEventName } from '@truelay/contract'
import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core'
import { storedColumn } from '../database/stored.ts'
import { parts } from '../jobs/table.ts'

/** The log of all fits: rows are added, and never taken away. `place` is the order in which they arrived. */
export const fitEventRows = sqliteTable(
  'fit_events',
  {
    place: integer('place').primaryKey({ autoIncrement: true }),
    id: text('id').notNull().unique(),
    partId: text('part_id')
      .notNull()
      .references(() => parts.id),
    kind: text('kind').$type<FitEventName>(),
    /** The tablet's clock when it happened. */
    at: text('at'),
    /** Its step was gone back to: it does not stand any more. */
    retired: integer('retired', { mode: 'boolean' }).notNull().default(false),
    document: storedColumn('event').notNull(),
    receivedAt: text('received_at').notNull(),
  },
  (table) => [
    index('fit_events_by_part').on(table.partId, table.place),
    index('fit_events_by_kind').on(table.kind, table.place),
  ],
)

/** How far each fit has come: what its log adds up to, written with every event. */
export const fitProgressRows = sqliteTable('fit_progress', {
  partId: text('part_id')
    .primaryKey()
    .references(() => parts.id),
  document: storedColumn('document').notNull(),
  /** Where it stands, without its plan; null where only the log tells. */
  state: storedColumn('state'),
  /** What it teaches, once it is finished. */
  taught: storedColumn('taught'),
})
