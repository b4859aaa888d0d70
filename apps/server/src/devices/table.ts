import { integer, sqliteTable, text } from 'drizzle-orm/sqlite-core'
import { storedColumn } from '../database/stored.ts'

/** One row: where the shop's devices are asked. */
export const deviceRows = sqliteTable('devices', {
  id: text('id').primaryKey(),
  document: storedColumn('addresses').notNull(),
})

/** Room air as somebody entered it; rows are added, never changed. */
export const roomRows = sqliteTable('room_entries', {
  place: integer('place').primaryKey({ autoIncrement: true }),
  at: text('at').notNull(),
  document: storedColumn('room').notNull(),
})
