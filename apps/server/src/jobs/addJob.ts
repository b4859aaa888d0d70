import { type Job, jobId, type NewJob, worksHere } from '@truelay/contract'
import { name, say } from '@truelay/core/say'
import { desc } from 'drizzle-orm'
import type { Database } from '../database/openDatabase.ts'
import { nextNumber } from './nextNumber.ts'
import { readModel } from '../models/queries.ts'
import { NotFound } from '../reply/reply.ts'
import { readFilms } from '../shelf/queries.ts'
import { readPeople } from '../shop/people.ts'
import { readJob } from './queries.ts'
import { rowOfPart } from './rowOfPart.ts'
import { jobs, parts } from './table.ts'

/** Until a sensor tells the room, a new job takes the climate of the last one. */
export const usualRoom = { temperatureC: 20, humidityPercent: 50 }

/** Takes in a vehicle: the next free number, its parts with the forms and pieces that the model knows. */
export async function addJob(database: Database, draft: NewJob): Promise<Job> {
  const model = await readModel(database, draft.modelId)
  const people = await readPeople(database)
  if (!people.some((p) => p.id === draft.personId && worksHere(p)))
    throw new NotFound(say`Nobody here is called "${name(draft.personId)}".`, say`Choose a person of the shop.`)
  const films = await readFilms(
    database,
    draft.parts.map((p) => p.filmId),
  )
  const strange = draft.parts.find((p) => !films.some((f) => f.id === p.filmId))
  if (strange !== undefined)
    throw new NotFound(say`There is no film "${name(strange.filmId)}" on the shelf.`, say`Choose a film of the shelf.`)
  const id = await database.write(async (db) => {
    const last = await db.select().from(jobs).orderBy(desc(jobs.number)).limit(1)
    const number = await nextNumber(db)
    await db.insert(jobs).values({
      id: number,
      number,
      customer: draft.customer,
      vehicleModelId: model.id,
      vehicleModel: model.name,
      vehicleKind: model.kind,
      vehicleYear: draft.year,
      colour: draft.colour,
      plate: draft.plate,
      bay: draft.bay,
      personId: draft.personId,
      roomTemperatureC: last[0]?.roomTemperatureC ?? usualRoom.temperatureC,
      roomHumidityPercent: last[0]?.roomHumidityPercent ?? usualRoom.humidityPercent,
      arrivedAt: draft.arrivesAt,
      dueAt: draft.dueAt,
    })
    for (const [place, wish] of draft.parts.entries())
      await db.insert(parts).values(await rowOfPart(database, { job: jobId.parse(number), place, wish, model }))
    return number
  })
  return readJob(database, jobId.parse(id))
}
