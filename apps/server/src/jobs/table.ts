import type { Part } from '@truelay/contract'
import type { BodyKind } from '@truelay/core/vehicle'
import { index, integer, real, sqliteTable, text } from 'drizzle-orm/sqlite-core'
import { models } from '../models/table.ts'
import { films, pieces } from '../shelf/table.ts'
import { people } from '../shop/table.ts'
import { storedColumn } from '../database/stored.ts'

export const jobs = sqliteTable(
  'jobs',
  {
    id: text('id').primaryKey(),
    number: text('number').notNull().unique(),
    customer: text('customer').notNull(),
    vehicleModelId: text('vehicle_model_id')
      .notNull()
      .references(() => models.id),
    vehicleModel: text('vehicle_model').notNull(),
    vehicleKind: text('vehicle_kind').$type<BodyKind>().notNull(),
    vehicleYear: integer('vehicle_year'),
    colour: text('colour').notNull(),
    plate: text('plate').notNull(),
    bay: text('bay').notNull(),
    personId: text('person_id')
      .notNull()
      .references(() => people.id),
    roomTemperatureC: real('room_temperature_c').notNull(),
    roomHumidityPercent: real('room_humidity_percent').notNull(),
    arrivedAt: text('arrived_at').notNull(),
    dueAt: text('due_at').notNull(),
    closedAt: text('closed_at'),
    /** Taken off the list as opened by mistake. */
    removedAt: text('removed_at'),
    signOff: storedColumn('sign_off'),
    /** Parts that are fitted together. */
    sets: storedColumn('part_sets'),
    /** The job that this is a come-back visit of. */
    visitOf: text('visit_of'),
  },
  (table) => [index('jobs_by_plate').on(table.plate), index('jobs_by_closing').on(table.closedAt)],
)

export const parts = sqliteTable(
  'parts',
  {
    id: text('id').primaryKey(),
    jobId: text('job_id')
      .notNull()
      .references(() => jobs.id),
    place: integer('place').notNull(),
    name: text('name').notNull(),
    slot: text('slot').notNull(),
    within: text('within', { mode: 'json' }).$type<Part['within']>(),
    formId: text('form_id'),
    formVersion: integer('form_version'),
    filmId: text('film_id')
      .notNull()
      .references(() => films.id),
    pieceId: text('piece_id').references(() => pieces.id),
    shiftXMm: real('shift_x_mm').notNull(),
    shiftYMm: real('shift_y_mm').notNull(),
    shiftTurnDeg: real('shift_turn_deg').notNull(),
    layOrder: storedColumn('lay_order'),
    choices: storedColumn('work_choices'),
    /** It is not to be covered after all; what was done on it stays. */
    droppedAt: text('dropped_at'),
    /** The part that was laid, where this is a come-back visit to it. */
    visitOf: text('visit_of'),
  },
  (table) => [index('parts_by_job').on(table.jobId, table.place)],
)

/** Who took a job, the last time that it was handed over. */
export const handOverRows = sqliteTable('hand_overs', {
  jobId: text('job_id')
    .primaryKey()
    .references(() => jobs.id),
  document: storedColumn('document').notNull(),
})

/** Who has read what is left of a lamp's light. */
export const lightRows = sqliteTable('light_acknowledged', {
  partId: text('part_id')
    .primaryKey()
    .references(() => parts.id),
  document: storedColumn('document').notNull(),
})
