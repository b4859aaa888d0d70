import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core'

/** What was answered to each write, so that one that is sent again is answered again and not done twice. */
export const writeRows = sqliteTable(
  'writes',
  {
    /** Made by whoever sent it. */
    id: text('id').primaryKey(),
    /** Of the method, the address and all that was sent. */
    hash: text('hash').notNull(),
    status: integer('status').notNull(),
    answer: text('answer', { mode: 'json' }).notNull(),
    at: text('at').notNull(),
  },
  (table) => [index('writes_by_time').on(table.at)],
)
