import { integer, primaryKey, sqliteTable, text } from 'drizzle-orm/sqlite-core'
import { storedColumn } from '../database/stored.ts'

/** Saved documents, each as it passed its schema. Forms are kept in every version that a fit has used. */
export const forms = sqliteTable(
  'forms',
  {
    id: text('id').notNull(),
    version: integer('version').notNull(),
    document: storedColumn('document').notNull(),
  },
  (table) => [primaryKey({ columns: [table.id, table.version] })],
)
export const films = sqliteTable('films', {
  id: text('id').primaryKey(),
  document: storedColumn('document').notNull(),
})
export const pieces = sqliteTable('pieces', {
  id: text('id').primaryKey(),
  kitId: text('kit_id').notNull(),
  document: storedColumn('document').notNull(),
})
export const kits = sqliteTable('kits', {
  id: text('id').primaryKey(),
  document: storedColumn('document').notNull(),
})
