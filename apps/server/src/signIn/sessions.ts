import { type Person, type PersonId, person as personDoc } from '@truelay/contract'
import { and, eq, getTableColumns, isNull } from 'drizzle-orm'
import type { Database, Tables } from '../database/openDatabase.ts'
import { asPerson, people } from '../shop/table.ts'
import { idleMs, noteUseMs, sessionMs } from './limits.ts'
import { sessions, tablets } from './table.ts'
import { newToken, tokenHash } from './tokens.ts'

/** Signs somebody in; what the browser keeps of it. Whoever was signed in there before is signed out. */
export async function startSession(
  { write }: Database,
  personId: PersonId,
  tabletId: string | null,
  before: string | null,
  at: Date,
): Promise<string> {
  const token = newToken()
  const now = at.toISOString()
  await write(async (db) => {
    if (before !== null) await endSession(db, before, at)
    await db.insert(sessions).values({ tokenHash: tokenHash(token), personId, tabletId, startedAt: now, usedAt: now })
    if (tabletId !== null) await db.update(tablets).set({ seenAt: now }).where(eq(tablets.id, tabletId))
  })
  return token
}

/** Who is signed in by a token on a screen; null where nobody is any longer, or they have left the shop. */
export async function personOf(
  database: Database,
  token: string,
  tabletId: string | null,
  at: Date,
): Promise<{ person: Person; session: string } | null> {
  const session = tokenHash(token)
  const [row] = await database.read
    .select({ person: getTableColumns(people), session: getTableColumns(sessions) })
    .from(sessions)
    .innerJoin(people, eq(people.id, sessions.personId))
    .where(and(eq(sessions.tokenHash, session), isNull(sessions.endedAt), isNull(people.leftAt)))
  if (row === undefined || row.session.tabletId !== tabletId) return null
  const since = (moment: string) => at.getTime() - new Date(moment).getTime()
  if (since(row.session.startedAt) > sessionMs || since(row.session.usedAt) > idleMs) return null
  if (since(row.session.usedAt) > noteUseMs)
    await database.write((db) =>
      db.update(sessions).set({ usedAt: at.toISOString() }).where(eq(sessions.tokenHash, session)),
    )
  const known = personDoc.safeParse(asPerson(row.person))
  return known.success ? { person: known.data, session } : null
}

export const endSession = (db: Tables, session: string, at: Date) =>
  db.update(sessions).set({ endedAt: at.toISOString() }).where(eq(sessions.tokenHash, session))

export const endSessionsOf = (db: Tables, personId: PersonId, at: Date) =>
  db
    .update(sessions)
    .set({ endedAt: at.toISOString() })
    .where(and(eq(sessions.personId, personId), isNull(sessions.endedAt)))
