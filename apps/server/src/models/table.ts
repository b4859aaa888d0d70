import type { VehicleModel } from '@truelay/contract'
import { sqliteTable, text } from 'drizzle-orm/sqlite-core'

export const models = sqliteTable('models', {
  id: text('id').primaryKey(),
  document: text('document', { mode: 'json' }).$type<VehicleModel>().notNull(),
})
