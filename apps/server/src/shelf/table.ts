import type { Film, Piece } from '@truelay/contract'
import type { FormDoc } from '@truelay/core/form'
import { sqliteTable, text } from 'drizzle-orm/sqlite-core'

/** Saved documents, each as it passed its schema. */
export const forms = sqliteTable('forms', {
  id: text('id').primaryKey(),
  document: text('document', { mode: 'json' }).$type<FormDoc>().notNull(),
})
export const films = sqliteTable('films', {
  id: text('id').primaryKey(),
  document: text('document', { mode: 'json' }).$type<Film>().notNull(),
})
export const pieces = sqliteTable('pieces', {
  id: text('id').primaryKey(),
  document: text('document', { mode: 'json' }).$type<Piece>().notNull(),
})
