import type { Shop } from '@truelay/contract'
import { sqliteTable, text } from 'drizzle-orm/sqlite-core'

/** One row: the shop and its settings. */
export const shops = sqliteTable('shops', {
  id: text('id').primaryKey(),
  settings: text('settings', { mode: 'json' }).$type<Shop>().notNull(),
})

export const people = sqliteTable('people', {
  id: text('id').primaryKey(),
  name: text('name').notNull(),
  role: text('role').notNull(),
})
