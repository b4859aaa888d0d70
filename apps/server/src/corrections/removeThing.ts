import type { RemovableKind } from '@truelay/contract'
import { name, say } from '@truelay/core/say'
import { eq } from 'drizzle-orm'
import type { Database } from '../database/openDatabase.ts'
import { models } from '../models/table.ts'
import { NotFound } from '../reply/reply.ts'
import { films, forms, kits, pieces } from '../shelf/table.ts'

/** What can be taken off its list; the plural is its address. */
export const removable = { films, pieces, kits, forms, models } as const satisfies Record<RemovableKind, unknown>
export type Removable = RemovableKind

/** Takes something off its list, or puts it back. It stays where jobs and records name it. */
export const removeThing = (
  database: Database,
  kind: Removable,
  id: string,
  removedAt: string | null,
): Promise<{ readonly removed: boolean }> =>
  database.write(async (db) => {
    const table = removable[kind]
    const there = await db.select({ id: table.id }).from(table).where(eq(table.id, id))
    if (there.length === 0)
      throw new NotFound(say`There is nothing called "${name(id)}" to be removed.`, say`Choose it in its list.`)
    await db.update(table).set({ removedAt }).where(eq(table.id, id))
    return { removed: removedAt !== null }
  })
