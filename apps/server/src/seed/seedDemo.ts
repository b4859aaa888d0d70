import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { filmDoc, formDoc, job, part, person, pieceDoc, shop } from '@truelay/contract'
import { setHours, startOfDay } from 'date-fns'
import { z } from 'zod'
import type { Database } from '../database/openDatabase.ts'
import { jobs, parts } from '../jobs/table.ts'
import { films, forms, pieces } from '../shelf/table.ts'
import { saveShop } from '../shop/queries.ts'
import { people, shops } from '../shop/table.ts'

const shopFile = z.strictObject({ shop, people: z.array(person) })
const hour = z.number().int().min(0).max(23)
const jobFile = z.strictObject({
  job: job.omit({ arrivedAt: true, dueAt: true }).extend({ arrivesHour: hour, dueHour: hour }),
  parts: z.array(part.omit({ jobId: true, shift: true }).extend({ shift: part.shape.shift.optional() })),
})

/** Fills an empty database with the demo shop from its open files; a database that holds a shop is left alone. */
export async function seedDemo(database: Database, folder: string, now: Date): Promise<boolean> {
  if ((await database.read.select().from(shops)).length > 0) return false
  const read = (file: string): unknown => JSON.parse(readFileSync(join(folder, file), 'utf8'))
  const all = (kind: string) =>
    readdirSync(join(folder, kind))
      .filter((f) => f.endsWith('.json'))
      .sort()
      .map((f) => read(join(kind, f)))
  const { shop: settings, people: persons } = shopFile.parse(read('shop.json'))
  const at = (h: number) => setHours(startOfDay(now), h).toISOString()

  await database.write(async (db) => {
    await db.insert(people).values(persons)
    for (const document of all('forms').map((d) => formDoc.parse(d)))
      await db.insert(forms).values({ id: document.id, document })
    for (const document of all('films').map((d) => filmDoc.parse(d)))
      await db.insert(films).values({ id: document.id, document })
    for (const document of all('pieces').map((d) => pieceDoc.parse(d)))
      await db.insert(pieces).values({ id: document.id, document })
    for (const { job: j, parts: ofJob } of all('jobs').map((d) => jobFile.parse(d))) {
      await db.insert(jobs).values({
        id: j.id,
        number: j.number,
        customer: j.customer,
        vehicleModel: j.vehicle.model,
        vehicleKind: j.vehicle.kind,
        colour: j.vehicle.colour,
        fleetNumber: j.vehicle.fleetNumber,
        bay: j.bay,
        personId: j.personId,
        roomTemperatureC: j.room.temperatureC,
        roomHumidityPercent: j.room.humidityPercent,
        arrivedAt: at(j.arrivesHour),
        dueAt: at(j.dueHour),
      })
      for (const [place, p] of ofJob.entries())
        await db.insert(parts).values({
          id: p.id,
          jobId: j.id,
          place,
          name: p.name,
          formId: p.formId,
          filmId: p.filmId,
          pieceId: p.pieceId,
          shiftXMm: p.shift?.xMm ?? 0,
          shiftYMm: p.shift?.yMm ?? 0,
          shiftTurnDeg: p.shift?.turnDeg ?? 0,
        })
    }
  })
  await saveShop(database, settings)
  return true
}
