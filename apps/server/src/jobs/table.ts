import { integer, real, sqliteTable, text } from 'drizzle-orm/sqlite-core'
import { films, forms, pieces } from '../shelf/table.ts'
import { people } from '../shop/table.ts'

export const jobs = sqliteTable('jobs', {
  id: text('id').primaryKey(),
  number: text('number').notNull().unique(),
  customer: text('customer').notNull(),
  vehicleModel: text('vehicle_model').notNull(),
  vehicleKind: text('vehicle_kind').notNull(),
  colour: text('colour').notNull(),
  fleetNumber: text('fleet_number').notNull(),
  bay: text('bay').notNull(),
  personId: text('person_id')
    .notNull()
    .references(() => people.id),
  roomTemperatureC: real('room_temperature_c').notNull(),
  roomHumidityPercent: real('room_humidity_percent').notNull(),
  arrivedAt: text('arrived_at').notNull(),
  dueAt: text('due_at').notNull(),
})

export const parts = sqliteTable('parts', {
  id: text('id').primaryKey(),
  jobId: text('job_id')
    .notNull()
    .references(() => jobs.id),
  place: integer('place').notNull(),
  name: text('name').notNull(),
  formId: text('form_id')
    .notNull()
    .references(() => forms.id),
  filmId: text('film_id')
    .notNull()
    .references(() => films.id),
  pieceId: text('piece_id')
    .notNull()
    .references(() => pieces.id),
  shiftXMm: real('shift_x_mm').notNull(),
  shiftYMm: real('shift_y_mm').notNull(),
  shiftTurnDeg: real('shift_turn_deg').notNull(),
})
