import type { Devices, EnteredRoom } from '@truelay/contract'
import { integer, sqliteTable, text } from 'drizzle-orm/sqlite-core'

/** One row: where the shop's devices are asked. */
export const deviceRows = sqliteTable('devices', {
  id: text('id').primaryKey(),
  addresses: text('addresses', { mode: 'json' }).$type<Devices>().notNull(),
})

/** Room air as somebody entered it; rows are added, never changed. */
export const roomRows = sqliteTable('room_entries', {
  place: integer('place').primaryKey({ autoIncrement: true }),
  at: text('at').notNull(),
  room: text('room', { mode: 'json' }).$type<EnteredRoom>().notNull(),
})
