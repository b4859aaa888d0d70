import type { RemovedThing } from '@truelay/contract'
import { desc, isNotNull, sql } from 'drizzle-orm'
import type { Database } from '../database/openDatabase.ts'
import { type Removable, removable } from './removeThing.ts'

/** Everything that was taken off its list, the last first; a form once, however many versions it has. */
export async function readRemoved(database: Pick<Database, 'read'>): Promise<RemovedThing[]> {
  const kinds = Object.keys(removable) as Removable[]
  const lists = await Promise.all(kinds.map((kind) => removedOf(database, kind)))
  return lists.flat().sort((a, b) => b.removedAt.localeCompare(a.removedAt))
}

async function removedOf({ read }: Pick<Database, 'read'>, kind: Removable): Promise<RemovedThing[]> {
  const table = removable[kind]
  const rows = await read
    .select({
      id: table.id,
      removedAt: table.removedAt,
      name: sql<
        string | null
      >`case when json_valid(document) then coalesce(json_extract(document, '$.doc.name'), json_extract(document, '$.name')) end`,
    })
    .from(table)
    .where(isNotNull(table.removedAt))
    .orderBy(desc(table.removedAt))
  const each = new Map(rows.map((row) => [row.id, row]))
  return [...each.values()].map(({ id, name, removedAt }) => ({
    kind,
    id,
    name: name ?? id,
    removedAt: removedAt ?? '',
  }))
}
