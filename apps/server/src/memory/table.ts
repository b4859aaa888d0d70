import { primaryKey, sqliteTable, text } from 'drizzle-orm/sqlite-core'
import { storedColumn } from '../database/stored.ts'

/** What the fits of other shops teach, as it was brought in: a file each. */
export const borrowedRows = sqliteTable('borrowed_facts', {
  id: text('id').primaryKey(),
  says: text('says').notNull(),
  broughtAt: text('brought_at').notNull(),
  document: storedColumn('document').notNull(),
})

/** What was fitted before that moment at that place of a model teaches nothing any more. */
export const forgottenRows = sqliteTable(
  'forgotten_facts',
  { modelId: text('model_id').notNull(), slot: text('slot').notNull(), at: text('at').notNull() },
  (table) => [primaryKey({ columns: [table.modelId, table.slot] })],
)
