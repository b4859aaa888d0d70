import type { Person, WeekHours } from '@truelay/contract'
import { sqliteTable, text } from 'drizzle-orm/sqlite-core'
import { storedColumn } from '../database/stored.ts'

/** One row: the shop and its settings. */
export const shops = sqliteTable('shops', {
  id: text('id').primaryKey(),
  document: storedColumn('settings').notNull(),
})

export const people = sqliteTable('people', {
  id: text('id').primaryKey(),
  name: text('name').notNull(),
  role: text('role').notNull(),
  /** Null = the hours of the shop. */
  hours: text('hours', { mode: 'json' }).$type<WeekHours>(),
  leftAt: text('left_at'),
  /** Null = nothing yet. */
  confirmed: text('confirmed', { mode: 'json' }).$type<NonNullable<Person['confirmed']>>(),
})

/** A row as the person that it is; what is not there is left out. */
export const asPerson = ({ confirmed, ...row }: typeof people.$inferSelect) => ({
  ...row,
  ...(confirmed === null ? {} : { confirmed }),
})
