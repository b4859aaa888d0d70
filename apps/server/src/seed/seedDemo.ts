import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import {
  batch,
  bladeEntry,
  exerciseRun,
  filmDoc,
  finding,
  formDoc,
  job,
  kitDoc,
  part,
  person,
  pieceDoc,
  shop,
  supply,
  vehicleModel,
} from '@truelay/contract'
import { addBusinessDays, addDays, format, setHours, startOfDay } from 'date-fns'
import { recipeOf, strengthWords } from '@truelay/core/mix'
import { z } from 'zod'
import { bladeRows } from '../blades/table.ts'
import type { Database } from '../database/openDatabase.ts'
import { toStored } from '../database/stored.ts'
import { exerciseRows } from '../exercises/table.ts'
import { jobs, parts } from '../jobs/table.ts'
import { batchRows, supplyRows } from '../liquids/table.ts'
import { models } from '../models/table.ts'
import { films, forms, kits, pieces } from '../shelf/table.ts'
import { rollsFile, seedRolls } from './seedRolls.ts'
import { saveShop } from '../shop/queries.ts'
import { people, shops } from '../shop/table.ts'
import { findingRows } from '../walkRound/table.ts'

const shopFile = z.strictObject({ shop, people: z.array(person) })
const liquidsFile = z.strictObject({
  supplies: z.array(supply),
  batches: z.array(
    batch
      .omit({ id: true, number: true, says: true, mixedAt: true, emptiedAt: true, history: true })
      .extend({ daysAgo: z.number().int().min(0).max(60), hour: z.number().int().min(0).max(23) }),
  ),
  segmentsBought: z.number().int(),
})
const exercisesFile = z.array(
  exerciseRun
    .omit({ id: true, at: true })
    .extend({ daysAgo: z.number().int().min(0).max(400), hour: z.number().int().min(0).max(23) }),
)
const hour = z.number().int().min(0).max(23)
const day = z.number().int().min(-2000).max(60)
const jobFile = z.strictObject({
  job: job
    .omit({ arrivedAt: true, dueAt: true, closedAt: true, removedAt: true })
    /** Days are counted from the day of the seed, so that the demo is always about today. */
    .extend({ arrivesDay: day, arrivesHour: hour, dueDay: day, dueHour: hour, closed: z.boolean() }),
  parts: z.array(
    part
      .omit({ jobId: true, shift: true, formVersion: true, order: true })
      .extend({ shift: part.shape.shift.optional(), choices: part.shape.choices.optional() }),
  ),
  findings: z.array(finding.omit({ jobId: true, foundAt: true, photos: true, later: true })),
})

/** Fills an empty database with the demo shop from its open files; a database that holds a shop is left alone. */
export const seedDemo = (database: Database, folder: string, now: Date): Promise<boolean> =>
  // All of it or nothing: a start that is cut off begins again.
  database.write((_, within) => seedWithin(within, folder, now))

async function seedWithin(database: Database, folder: string, now: Date): Promise<boolean> {
  if ((await database.read.select().from(shops)).length > 0) return false
  const read = (file: string): unknown => JSON.parse(readFileSync(join(folder, file), 'utf8'))
  const all = (kind: string) =>
    readdirSync(join(folder, kind))
      .filter((f) => f.endsWith('.json'))
      .sort()
      .map((f) => read(join(kind, f)))
  const { shop: settings, people: persons } = shopFile.parse(read('shop.json'))
  // What is still to come falls on days on which the shop is open.
  const on = (days: number) => (days > 0 ? addBusinessDays : addDays)(startOfDay(now), days)
  const at = (days: number, h: number) => setHours(on(days), h).toISOString()

  await database.write(async (db) => {
    await db.insert(people).values(persons)
    for (const document of all('forms').map((d) => formDoc.parse(d)))
      await db
        .insert(forms)
        .values({ id: document.id, version: document.version, document: toStored('form', document) })
    for (const document of all('films').map((d) => filmDoc.parse(d)))
      await db.insert(films).values({ id: document.id, document: toStored('film', document) })
    for (const document of all('pieces').map((d) => pieceDoc.parse(d)))
      await db.insert(pieces).values({ id: document.id, kitId: document.kitId, document: toStored('piece', document) })
    for (const document of all('kits').map((d) => kitDoc.parse(d)))
      await db.insert(kits).values({ id: document.id, document: toStored('kit', document) })
    for (const document of all('models').map((d) => vehicleModel.parse(d)))
      await db.insert(models).values({ id: document.id, document: toStored('model', document) })
    for (const { job: j, parts: ofJob, findings: found } of all('jobs').map((d) => jobFile.parse(d))) {
      await db.insert(jobs).values({
        id: j.id,
        number: j.number,
        customer: j.customer,
        vehicleModelId: j.vehicle.modelId,
        vehicleModel: j.vehicle.model,
        vehicleKind: j.vehicle.kind,
        vehicleYear: j.vehicle.year,
        colour: j.vehicle.colour,
        plate: j.vehicle.plate,
        bay: j.bay,
        personId: j.personId,
        roomTemperatureC: j.room.temperatureC,
        roomHumidityPercent: j.room.humidityPercent,
        arrivedAt: at(j.arrivesDay, j.arrivesHour),
        dueAt: at(j.dueDay, j.dueHour),
        closedAt: j.closed ? at(j.dueDay, j.dueHour) : null,
      })
      for (const [place, p] of ofJob.entries())
        await db.insert(parts).values({
          id: p.id,
          jobId: j.id,
          place,
          name: p.name,
          slot: p.slot,
          within: p.within,
          formId: p.formId,
          formVersion: p.formId === null ? null : 1,
          filmId: p.filmId,
          pieceId: p.pieceId,
          shiftXMm: p.shift?.xMm ?? 0,
          shiftYMm: p.shift?.yMm ?? 0,
          shiftTurnDeg: p.shift?.turnDeg ?? 0,
          choices: p.choices === undefined ? null : toStored('workChoices', p.choices),
        })
      for (const f of found) {
        const foundAt = at(j.arrivesDay, j.arrivesHour)
        const document = toStored('finding', { ...f, jobId: j.id, foundAt, photos: [], later: false })
        await db.insert(findingRows).values({ id: f.id, jobId: j.id, document })
      }
    }
  })
  await database.write((db) => seedRolls(db, rollsFile.parse(read('rolls.json')), at))
  await saveShop(database, settings)
  await seedLiquids(database, liquidsFile.parse(read('liquids.json')), at)
  await seedExercises(database, exercisesFile.parse(read('exercises.json')), at)
  return true
}

async function seedExercises(
  database: Database,
  done: z.infer<typeof exercisesFile>,
  at: (days: number, hour: number) => string,
): Promise<void> {
  await database.write(async (db) => {
    for (const [i, { daysAgo, hour: h, ...run }] of done.entries()) {
      const id = `00000000-0000-4000-8000-${String(8000 + i).padStart(12, '0')}`
      const document = exerciseRun.parse({ ...run, id, at: at(-daysAgo, h) })
      await db.insert(exerciseRows).values({ id, document: toStored('exerciseRun', document) })
    }
  })
}

async function seedLiquids(
  database: Database,
  { supplies, batches, segmentsBought }: z.infer<typeof liquidsFile>,
  at: (days: number, hour: number) => string,
): Promise<void> {
  await database.write(async (db) => {
    await db.insert(supplyRows).values(supplies)
    for (const [i, { daysAgo, hour: h, ...draft }] of batches.entries()) {
      const mixedAt = at(-daysAgo, h)
      const says = draft.school === null ? strengthWords(draft.strength) : recipeOf(draft.school).says
      const note = { at: mixedAt, personId: draft.personId, says }
      const document = batch.parse({
        ...draft,
        says,
        id: `demo-batch-${i + 1}`,
        number: `${format(new Date(mixedAt), 'yyMMdd')}-1`,
        mixedAt,
        emptiedAt: null,
        history: [{ ...note, what: 'mixed', leftMl: draft.bottleMl }],
      })
      await db.insert(batchRows).values({ id: document.id, mixedAt, document: toStored('batch', document) })
    }
    const bought = bladeEntry.parse({
      id: '00000000-0000-4000-8000-000000000001',
      at: at(-5, 9),
      personId: batches[0]?.personId,
      kind: 'bought',
      segments: segmentsBought,
    })
    await db.insert(bladeRows).values({ id: bought.id, document: toStored('bladeEntry', bought) })
  })
}
