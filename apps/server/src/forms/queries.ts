import { formDoc, type FormId, formId, type PartId } from '@truelay/contract'
import type { FormDoc } from '@truelay/core/form'
import { name, say } from '@truelay/core/say'
import { and, asc, desc, eq, inArray, isNull } from 'drizzle-orm'
import type { Database } from '../database/openDatabase.ts'
import { byName } from '../database/byName.ts'
import { fitEventRows } from '../fit/table.ts'
import { readJob, readPart } from '../jobs/queries.ts'
import { parts } from '../jobs/table.ts'
import { learnForm } from '../models/queries.ts'
import { NotFound } from '../reply/reply.ts'
import { newestVersionOf } from '../shelf/queries.ts'
import { forms } from '../shelf/table.ts'
import { readEachStored, readStored, toStored } from '../database/stored.ts'

/** Every form in its newest version, by name. */
export async function readNewestForms(database: Database): Promise<FormDoc[]> {
  const rows = await database.read
    .select()
    .from(forms)
    .where(isNull(forms.removedAt))
    .orderBy(asc(forms.id), desc(forms.version))
  const newest = new Map<string, FormDoc>()
  for (const row of rows)
    if (!newest.has(row.id)) for (const form of readEachStored(database, 'form', [row])) newest.set(row.id, form)
  return [...newest.values()].sort(byName)
}

export async function readNewestForm(database: Database, id: FormId): Promise<FormDoc> {
  const row = await database.read.query.forms.findFirst({ where: eq(forms.id, id), orderBy: desc(forms.version) })
  if (row === undefined)
    throw new NotFound(say`There is no form "${name(id)}".`, say`Choose one from the list of forms.`)
  return readStored('form', id, row.document)
}

/**
 * Saves a form. A version that a fit was worked from is never changed: the change becomes the next version, and parts
 * that nobody has begun move on to it.
 */
export const saveForm = (database: Database, draft: FormDoc): Promise<FormDoc> =>
  database.write(async (db) => {
    const before = await newestVersionOf(database, draft.id)
    const version = before === null ? 1 : (await isUsed(database, draft.id, before)) ? before + 1 : before
    const saved = formDoc.parse({ ...draft, version })
    const document = toStored('form', saved)
    await db
      .insert(forms)
      .values({ id: draft.id, version, document })
      .onConflictDoUpdate({ target: [forms.id, forms.version], set: { document } })
    if (before !== null && before !== version) {
      const waiting = await db
        .select({ id: parts.id })
        .from(parts)
        .where(and(eq(parts.formId, draft.id), eq(parts.formVersion, before)))
      const begun = await begunAmong(
        database,
        waiting.map((p) => p.id),
      )
      const free = waiting.map((p) => p.id).filter((id) => !begun.has(id))
      await db.update(parts).set({ formVersion: version }).where(inArray(parts.id, free))
    }
    return saved
  })

/** Gives a part its form, once somebody has measured it; the next vehicle of the model has it from the start. */
export const takeForm = (database: Database, partId: PartId, id: FormId): Promise<void> =>
  database.write(async (db, within) => {
    const version = await newestVersionOf(within, id)
    if (version === null)
      throw new NotFound(say`There is no form "${name(id)}".`, say`Choose one from the list of forms.`)
    await db
      .update(parts)
      .set({ formId: formId.parse(id), formVersion: version })
      .where(eq(parts.id, partId))
    const { jobId, slot, name: called } = await readPart(within, partId)
    await learnForm(within, (await readJob(within, jobId)).vehicle.modelId, { slot, name: called, formId: id })
  })

async function isUsed(database: Database, id: string, version: number): Promise<boolean> {
  const worked = await database.read
    .select({ id: parts.id })
    .from(parts)
    .where(and(eq(parts.formId, id), eq(parts.formVersion, version)))
  return (
    (
      await begunAmong(
        database,
        worked.map((p) => p.id),
      )
    ).size > 0
  )
}

async function begunAmong({ read }: Database, ids: readonly string[]): Promise<Set<string>> {
  const rows = await read
    .selectDistinct({ id: fitEventRows.partId })
    .from(fitEventRows)
    .where(inArray(fitEventRows.partId, [...ids]))
  return new Set(rows.map((row) => row.id))
}
