import { idFromName, type ModelId, modelId, type NewModel, type VehicleModel, vehicleModel } from '@truelay/contract'
import { bodyPlan } from '@truelay/core/vehicle'
import { name, say } from '@truelay/core/say'
import { eq } from 'drizzle-orm'
import type { Database } from '../database/openDatabase.ts'
import { NotFound, Refused } from '../reply/reply.ts'
import { models } from './table.ts'
import { readEachStored, readStored, toStored } from '../database/stored.ts'

export const readModels = async (database: Database): Promise<VehicleModel[]> =>
  readEachStored(database, 'model', await database.read.select().from(models))

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
      id: modelId.parse(idFromName(draft.name, new Set(known.map((m) => m.id)))),
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
