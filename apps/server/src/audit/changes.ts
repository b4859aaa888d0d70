import { type ChangeList, changesOnPage } from '@truelay/contract'
import { desc, eq, lt } from 'drizzle-orm'
import type { Request } from 'express'
import type { Database, Tables } from '../database/openDatabase.ts'
import { people } from '../shop/table.ts'
import { tablets } from '../signIn/table.ts'
import { whoOf } from '../who/who.ts'
import { deedOf } from './deeds.ts'
import { changeRows } from './table.ts'

/** Notes who changes what, within the write that changes it. */
export async function noteChange(db: Tables, req: Request, at: Date): Promise<void> {
  const what = deedOf({ method: req.method, path: `${req.baseUrl}${req.path}`.replace(/^\/api/, ''), body: req.body })
  if (what === null || what.says === null) return
  const { person, tablet } = whoOf(req)
  await db.insert(changeRows).values({
    at: at.toISOString(),
    personId: person?.id ?? null,
    tabletId: tablet?.id ?? null,
    what: what.says,
  })
}

/** The changes, the latest first; `before` is the id of the last that was seen. */
export async function readChanges({ read }: Database, before: number | null): Promise<ChangeList> {
  const rows = await read
    .select({
      id: changeRows.id,
      at: changeRows.at,
      by: people.name,
      from: tablets.name,
      what: changeRows.what,
    })
    .from(changeRows)
    .leftJoin(people, eq(people.id, changeRows.personId))
    .leftJoin(tablets, eq(tablets.id, changeRows.tabletId))
    .where(before === null ? undefined : lt(changeRows.id, before))
    .orderBy(desc(changeRows.id))
    .limit(changesOnPage + 1)
  return { changes: rows.slice(0, changesOnPage), older: rows.length > changesOnPage }
}
