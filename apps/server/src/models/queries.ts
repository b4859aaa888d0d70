import {
  type FormId,
  idFromName,
  type ModelId,
  type ModelPart,
  modelId,
  type NewModel,
  type VehicleModel,
  vehicleModel,
} from '@truelay/contract'
import { bodyPlan } from '@truelay/core/vehicle'
import { name, say } from '@truelay/core/say'
import { eq, isNull } from 'drizzle-orm'
import { byName } from '../database/byName.ts'
import type { Database } from '../database/openDatabase.ts'
import { NotFound, Refused } from '../reply/reply.ts'
import { models } from './table.ts'
import { readEachStored, readStored, toStored } from '../database/stored.ts'

/** The models, by name. */
export const readModels = async (database: Database): Promise<VehicleModel[]> =>
  readEachStored(database, 'model', await database.read.select().from(models).where(isNull(models.removedAt))).sort(
    byName,
  )

export async function readModel({ read }: Database, id: ModelId): Promise<VehicleModel> {
  const row = await read.query.models.findFirst({ where: eq(models.id, id) })
  if (row === undefined)
    throw new NotFound(say`There is no model "${name(id)}".`, say`Choose one from the list, or add it.`)
  return readStored('model', row.id, row.document)
}

/** A new model: every part that a vehicle of its kind has, none of them measured yet. */
export const addModel = (database: Database, draft: NewModel): Promise<VehicleModel> =>
  database.write(async (db) => {
    const known = await readModels(database)
    const same = known.find((m) => m.name.toLowerCase() === draft.name.toLowerCase())
    if (same !== undefined)
      throw new Refused({
        code: 'MODEL_EXISTS',
        sentence: say`"${name(same.name)}" is in the list already.`,
        fix: say`Choose it there, or give the new one another name.`,
      })
    const model = vehicleModel.parse({
      ...draft,
      id: modelId.parse(
        idFromName(draft.name, new Set((await db.select({ id: models.id }).from(models)).map((m) => m.id))),
      ),
      parts: bodyPlan(draft.kind).slots.map(({ id, name }) => ({
        name,
        slot: id,
        formId: null,
        pieceId: null,
        filmId: null,
      })),
    })
    await db.insert(models).values({ id: model.id, document: toStored('model', model) })
    return model
  })

/** What a model knows of its parts is changed as a whole; its kind stays, as jobs were done on it. */
export const saveModel = (database: Database, draft: VehicleModel): Promise<VehicleModel> =>
  database.write(async (db, within) => {
    const before = await readModel(within, draft.id)
    if (draft.kind !== before.kind)
      throw new Refused({
        code: 'OTHER_KIND',
        sentence: say`A model keeps the kind of vehicle that it is.`,
        fix: say`Add another model of that kind; nothing was changed.`,
      })
    const same = (await readModels(within)).find(
      (m) => m.id !== draft.id && m.name.toLowerCase() === draft.name.toLowerCase(),
    )
    if (same !== undefined)
      throw new Refused({
        code: 'MODEL_EXISTS',
        sentence: say`"${name(same.name)}" is in the list already.`,
        fix: say`Choose it there, or give the new one another name.`,
      })
    await db
      .update(models)
      .set({ document: toStored('model', draft) })
      .where(eq(models.id, draft.id))
    return draft
  })

/** A part of a model that nobody had measured has a form from now on. */
export async function learnForm(
  database: Database,
  id: ModelId,
  part: { readonly slot: string; readonly name: string; readonly formId: FormId },
): Promise<void> {
  const model = await readModel(database, id)
  const isIt = (p: ModelPart) => p.slot === part.slot && p.name === part.name
  if (model.parts.some((p) => isIt(p) && p.formId !== null)) return
  const parts = model.parts.some(isIt)
    ? model.parts.map((p) => (isIt(p) ? { ...p, formId: part.formId } : p))
    : [...model.parts, { ...part, pieceId: null, filmId: null }]
  await saveModel(database, { ...model, parts })
}
