import { randomUUID } from 'node:crypto'
import type { Tablet } from '@truelay/contract'
import { say } from '@truelay/core/say'
import { and, eq, isNull } from 'drizzle-orm'
import type { Database, Tables } from '../database/openDatabase.ts'
import { NotFound } from '../reply/reply.ts'
import { sessions, tablets } from './table.ts'
import { newToken, tokenHash } from './tokens.ts'

/** Takes a tablet into the shop; what it keeps to be known again. */
export async function takeIn({ write }: Database, name: string, at: Date): Promise<string> {
  const token = newToken()
  await write((db) =>
    db.insert(tablets).values({ id: randomUUID(), name, tokenHash: tokenHash(token), pairedAt: at.toISOString() }),
  )
  return token
}

/** The tablet that keeps a token; null for one that is not of the shop, or no longer. */
export const tabletOf = async ({ read }: Database, token: string) =>
  (
    await read
      .select({ id: tablets.id, name: tablets.name })
      .from(tablets)
      .where(and(eq(tablets.tokenHash, tokenHash(token)), isNull(tablets.removedAt)))
  )[0] ?? null

export const readTablets = ({ read }: Database): Promise<Tablet[]> =>
  read
    .select({ id: tablets.id, name: tablets.name, pairedAt: tablets.pairedAt, seenAt: tablets.seenAt })
    .from(tablets)
    .where(isNull(tablets.removedAt))
    .orderBy(tablets.pairedAt)

/** Turns a tablet away, with whoever is signed in on it. */
export async function turnAway(db: Tables, id: string, at: Date): Promise<void> {
  const gone = await db
    .update(tablets)
    .set({ removedAt: at.toISOString() })
    .where(and(eq(tablets.id, id), isNull(tablets.removedAt)))
    .returning({ id: tablets.id })
  if (gone.length === 0) throw new NotFound(say`There is no such tablet.`, say`Choose one of the list.`)
  await db.update(sessions).set({ endedAt: at.toISOString() }).where(eq(sessions.tabletId, id))
}
