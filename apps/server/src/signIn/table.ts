import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core'
import { people } from '../shop/table.ts'

/** How each person proves who they are. */
export const pins = sqliteTable('pins', {
  personId: text('person_id')
    .primaryKey()
    .references(() => people.id),
  /** Argon2id, with its salt and costs; null until one is chosen. */
  hash: text('hash'),
  /** Until when they may choose a PIN without the one before; a lead allows it. */
  mayChooseUntil: text('may_choose_until'),
  /** Wrong tries since the last right one. */
  wrong: integer('wrong').notNull().default(0),
  wrongAt: text('wrong_at'),
})

/** Screens that belong to the shop. */
export const tablets = sqliteTable('tablets', {
  id: text('id').primaryKey(),
  name: text('name').notNull(),
  /** SHA-256 of what the tablet keeps. */
  tokenHash: text('token_hash').notNull().unique(),
  pairedAt: text('paired_at').notNull(),
  seenAt: text('seen_at'),
  removedAt: text('removed_at'),
})

/** Who is signed in where. */
export const sessions = sqliteTable(
  'sessions',
  {
    /** SHA-256 of what the browser keeps. */
    tokenHash: text('token_hash').primaryKey(),
    personId: text('person_id')
      .notNull()
      .references(() => people.id),
    /** Null = at the server's own machine. */
    tabletId: text('tablet_id').references(() => tablets.id),
    startedAt: text('started_at').notNull(),
    usedAt: text('used_at').notNull(),
    endedAt: text('ended_at'),
  },
  (table) => [index('sessions_of_person').on(table.personId)],
)
