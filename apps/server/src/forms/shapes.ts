import type { FormVersions, PartShape } from '@truelay/contract'
import { inArray } from 'drizzle-orm'
import type { Database } from '../database/openDatabase.ts'
import { readEachStored } from '../database/stored.ts'
import { forms } from '../shelf/table.ts'

/** What the pictures of some forms are drawn from; those that are not there are left out. */
export async function readShapes(database: Database, wanted: FormVersions): Promise<PartShape[]> {
  const key = ({ id, version }: { readonly id: string; readonly version: number }) => `${id}@${version}`
  const keys = new Set(wanted.map(key))
  const ids = [...new Set(wanted.map(({ id }) => id))]
  const rows = await database.read.select().from(forms).where(inArray(forms.id, ids))
  return readEachStored(
    database,
    'form',
    rows.filter((row) => keys.has(key(row))),
  ).map(({ id, version, name, start, outline, bodyLines, recesses, holes }) => ({
    id,
    version,
    name,
    start,
    outline,
    bodyLines,
    recesses,
    holes,
  }))
}
