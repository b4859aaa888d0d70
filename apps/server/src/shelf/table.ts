import type { Film, Kit, Piece } from '@truelay/contract'
import type { FormDoc } from '@truelay/core/form'
import { integer, primaryKey, sqliteTable, text } from 'drizzle-orm/sqlite-core'

/** Saved documents, each as it passed its schema. Forms are kept in every version that a fit has used. */
export const forms = sqliteTable(
  'forms',
  {
    id: text('id').notNull(),
    version: integer('version').notNull(),
    document: text('document', { mode: 'json' }).$type<FormDoc>().notNull(),
  },
  (table) => [primaryKey({ columns: [table.id, table.version] })],
)
export const films = sqliteTable('films', {
  id: text('id').primaryKey(),
  document: text('document', { mode: 'json' }).$type<Film>().notNull(),
})
export const pieces = sqliteTable('pieces', {
  id: text('id').primaryKey(),
  kitId: text('kit_id').notNull(),
  document: text('document', { mode: 'json' }).$type<Piece>().notNull(),
})
export const kits = sqliteTable('kits', {
  id: text('id').primaryKey(),
  document: text('document', { mode: 'json' }).$type<Kit>().notNull(),
})
