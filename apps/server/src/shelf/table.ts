import { integer, primaryKey, sqliteTable, text } from 'drizzle-orm/sqlite-core'
import { storedColumn } from '../database/stored.ts'

/** Taken off the shelf; what was fitted with it stays what it was. */
const removedAt = () => text('removed_at')

/** Saved documents, each as it passed its schema. Forms are kept in every version that a fit has used. */
export const forms = sqliteTable(
  'forms',
  {
    id: text('id').notNull(),
    version: integer('version').notNull(),
    document: storedColumn('document').notNull(),
    removedAt: removedAt(),
  },
  (table) => [primaryKey({ columns: [table.id, table.version] })],
)
export const films = sqliteTable('films', {
  id: text('id').primaryKey(),
  document: storedColumn('document').notNull(),
  removedAt: removedAt(),
})
export const pieces = sqliteTable('pieces', {
  id: text('id').primaryKey(),
  kitId: text('kit_id').notNull(),
  document: storedColumn('document').notNull(),
  removedAt: removedAt(),
})
export const kits = sqliteTable('kits', {
  id: text('id').primaryKey(),
  document: storedColumn('document').notNull(),
  removedAt: removedAt(),
})
