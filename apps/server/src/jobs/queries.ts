import {
  type Bay,
  type Job,
  type JobBundle,
  type JobId,
  job,
  type Part,
  type PartId,
  part,
  type Shift,
} from '@truelay/contract'
import { asc, eq } from 'drizzle-orm'
import type { Database } from '../database/openDatabase.ts'
import { readFitLogs } from '../fit/queries.ts'
import { NotFound } from '../reply/reply.ts'
import { readFilms, readForms, readPieces } from '../shelf/queries.ts'
import { readPeople, readShop } from '../shop/queries.ts'
import { progressOf } from './progressOf.ts'
import { jobs, parts } from './table.ts'

const toJob = (row: typeof jobs.$inferSelect): Job =>
  job.parse({
    id: row.id,
    number: row.number,
    customer: row.customer,
    vehicle: { model: row.vehicleModel, kind: row.vehicleKind, colour: row.colour, fleetNumber: row.fleetNumber },
    bay: row.bay,
    personId: row.personId,
    room: { temperatureC: row.roomTemperatureC, humidityPercent: row.roomHumidityPercent },
    arrivedAt: row.arrivedAt,
    dueAt: row.dueAt,
  })

const toPart = (row: typeof parts.$inferSelect): Part =>
  part.parse({
    id: row.id,
    jobId: row.jobId,
    name: row.name,
    formId: row.formId,
    filmId: row.filmId,
    pieceId: row.pieceId,
    shift: { xMm: row.shiftXMm, yMm: row.shiftYMm, turnDeg: row.shiftTurnDeg },
  })

export async function readJob({ read }: Database, id: JobId): Promise<Job> {
  const row = await read.query.jobs.findFirst({ where: eq(jobs.id, id) })
  if (row === undefined) throw new NotFound(`There is no job "${id}".`, 'Go to the bay and choose a job there.')
  return toJob(row)
}

export async function readPart({ read }: Database, id: PartId): Promise<Part> {
  const row = await read.query.parts.findFirst({ where: eq(parts.id, id) })
  if (row === undefined) throw new NotFound(`There is no part "${id}".`, 'Go to the bay and choose a part there.')
  return toPart(row)
}

const readParts = async ({ read }: Database, id: JobId) =>
  (await read.select().from(parts).where(eq(parts.jobId, id)).orderBy(asc(parts.place))).map(toPart)

/** A job with everything its parts need. */
export async function readBundle(database: Database, id: JobId): Promise<JobBundle> {
  const found = await readJob(database, id)
  const ofJob = await readParts(database, id)
  const ids = (pick: (p: Part) => string) => [...new Set(ofJob.map(pick))]
  const [shop, people, forms, films, pieces] = await Promise.all([
    readShop(database),
    readPeople(database),
    readForms(
      database,
      ids((p) => p.formId),
    ),
    readFilms(
      database,
      ids((p) => p.filmId),
    ),
    readPieces(
      database,
      ids((p) => p.pieceId),
    ),
  ])
  return { job: found, shop, people, parts: ofJob, forms, films, pieces }
}

/** The vehicles that are here, each with how far its parts have come. */
export async function readBay(database: Database): Promise<Bay> {
  const rows = await database.read.select().from(jobs).orderBy(asc(jobs.dueAt))
  const [shop, people] = await Promise.all([readShop(database), readPeople(database)])
  const here = await Promise.all(
    rows.map(async (row) => {
      const found = toJob(row)
      const ofJob = await readParts(database, found.id)
      const [logs, films] = await Promise.all([
        readFitLogs(
          database,
          ofJob.map((p) => p.id),
        ),
        readFilms(database, [...new Set(ofJob.map((p) => p.filmId))]),
      ])
      return {
        job: found,
        parts: ofJob.map((p) => progressOf(p, films.find((f) => f.id === p.filmId)?.name ?? '', logs.get(p.id) ?? [])),
      }
    }),
  )
  return { shop, people, jobs: here }
}

export async function saveShift(database: Database, id: PartId, shift: Shift): Promise<Part> {
  await readPart(database, id)
  await database.write((db) =>
    db
      .update(parts)
      .set({ shiftXMm: shift.xMm, shiftYMm: shift.yMm, shiftTurnDeg: shift.turnDeg })
      .where(eq(parts.id, id)),
  )
  return readPart(database, id)
}
