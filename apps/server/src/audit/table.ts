import type { Sentence } from '@truelay/core/say'
import { integer, sqliteTable, text } from 'drizzle-orm/sqlite-core'
import { people } from '../shop/table.ts'
import { tablets } from '../signIn/table.ts'

/** Who changed what: only added to. */
export const changeRows = sqliteTable('changes', {
  id: integer('id').primaryKey({ autoIncrement: true }),
  at: text('at').notNull(),
  personId: text('person_id').references(() => people.id),
  tabletId: text('tablet_id').references(() => tablets.id),
  what: text('what', { mode: 'json' }).$type<Sentence>().notNull(),
})
