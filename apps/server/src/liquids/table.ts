import type { Ingredient } from '@truelay/core/mix'
import { sql } from 'drizzle-orm'
import { index, real, sqliteTable, text } from 'drizzle-orm/sqlite-core'
import { storedColumn } from '../database/stored.ts'

export const batchRows = sqliteTable(
  'batches',
  {
    id: text('id').primaryKey(),
    mixedAt: text('mixed_at').notNull(),
    document: storedColumn('document').notNull(),
    /** What the document says, for finding those that stand in the shop. */
    emptiedAt: text('emptied_at').generatedAlwaysAs(
      sql`case when json_valid(document) then coalesce(json_extract(document, '$.doc.emptiedAt'), json_extract(document, '$.emptiedAt')) end`,
      { mode: 'virtual' },
    ),
  },
  (table) => [index('batches_by_emptying').on(table.emptiedAt, table.mixedAt)],
)

/** What batches are mixed from. */
export const supplyRows = sqliteTable('supplies', {
  what: text('what').$type<Ingredient>().primaryKey(),
  leftMl: real('left_ml').notNull(),
})
