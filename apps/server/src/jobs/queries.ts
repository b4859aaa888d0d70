import { nothingChosen } from '@truelay/core/plan'
import {
  type Job,
  type JobId,
  job,
  type Part,
  type PartId,
  type PartSet,
  part,
  partSets,
  type Shift,
} from '@truelay/contract'
import { name, say } from '@truelay/core/say'
import { and, asc, eq, inArray, isNull } from 'drizzle-orm'
import type { z } from 'zod'
import type { Database } from '../database/openDatabase.ts'
import { NotFound } from '../reply/reply.ts'
import { readPieces } from '../shelf/queries.ts'
import { jobs, parts } from './table.ts'
import { readEach, readRow, readStored, toStored } from '../database/stored.ts'

export const toJob = (row: typeof jobs.$inferSelect): Job =>
  readRow('job', row.id, job, {
    id: row.id,
    number: row.number,
    customer: row.customer,
    vehicle: {
      modelId: row.vehicleModelId,
      model: row.vehicleModel,
      kind: row.vehicleKind,
      year: row.vehicleYear,
      colour: row.colour,
      plate: row.plate,
    },
    bay: row.bay,
    personId: row.personId,
    room: { temperatureC: row.roomTemperatureC, humidityPercent: row.roomHumidityPercent },
    arrivedAt: row.arrivedAt,
    dueAt: row.dueAt,
    closedAt: row.closedAt,
    removedAt: row.removedAt,
    ...(row.visitOf === null ? {} : { visitOf: row.visitOf }),
  })

export const toPart = (row: typeof parts.$inferSelect): Part =>
  readRow('part', row.id, part, {
    id: row.id,
    jobId: row.jobId,
    name: row.name,
    slot: row.slot,
    ...(row.within ? { within: row.within } : {}),
    formId: row.formId,
    formVersion: row.formVersion,
    filmId: row.filmId,
    pieceId: row.pieceId,
    shift: { xMm: row.shiftXMm, yMm: row.shiftYMm, turnDeg: row.shiftTurnDeg },
    order: row.layOrder === null ? null : readStored('chosenOrder', row.id, row.layOrder),
    choices: row.choices === null ? nothingChosen : readStored('workChoices', row.id, row.choices),
    ...(row.visitOf === null ? {} : { visitOf: row.visitOf }),
  })

export async function readJob({ read }: Database, id: JobId): Promise<Job> {
  const row = await read.query.jobs.findFirst({ where: eq(jobs.id, id) })
  if (row === undefined)
    throw new NotFound(say`There is no job "${name(id)}".`, say`Go to the bay and choose a job there.`)
  return toJob(row)
}

export async function readPart({ read }: Database, id: PartId): Promise<Part> {
  const row = await read.query.parts.findFirst({ where: eq(parts.id, id) })
  if (row === undefined)
    throw new NotFound(say`There is no part "${name(id)}".`, say`Go to the bay and choose a part there.`)
  return toPart(row)
}

/** The numbers of some jobs, whatever became of them. */
export async function readJobNumbers({ read }: Database, ids: readonly JobId[]): Promise<(id: JobId) => string> {
  const rows = await read
    .select({ id: jobs.id, number: jobs.number })
    .from(jobs)
    .where(inArray(jobs.id, [...ids]))
  const numbers = new Map<string, string>(rows.map((row) => [row.id, row.number]))
  return (id) => numbers.get(id) ?? id
}

/** A job that is on the list and not closed. */
export const isOpen = and(isNull(jobs.closedAt), isNull(jobs.removedAt))
/** A part that is to be covered. */
const isWanted = isNull(parts.droppedAt)

/** Visits of a job that are still to be made, the earliest first. */
export const readVisitsOf = async ({ read }: Database, id: JobId): Promise<Job[]> =>
  (
    await read
      .select()
      .from(jobs)
      .where(and(isOpen, eq(jobs.visitOf, id)))
      .orderBy(asc(jobs.arrivedAt))
  ).map(toJob)

/** The jobs that are open, the one that is due first on top. */
export const readOpenJobs = async (database: Database): Promise<Job[]> =>
  readEach(database, await database.read.select().from(jobs).where(isOpen).orderBy(asc(jobs.dueAt)), toJob)

/** The parts of some jobs, each in its order. */
export async function readPartsOf(database: Database, ids: readonly JobId[]): Promise<(id: JobId) => Part[]> {
  const rows = await database.read
    .select()
    .from(parts)
    .where(and(inArray(parts.jobId, [...ids]), isWanted))
    .orderBy(asc(parts.jobId), asc(parts.place))
  return byJob(readEach(database, rows, toPart))
}

const partHead = part.pick({ id: true, jobId: true, name: true, filmId: true, formId: true, formVersion: true })
export type PartHead = z.infer<typeof partHead>
export type PartHeadRow = Pick<typeof parts.$inferSelect, keyof PartHead>

/** What a part is, without what it is worked out from. */
export const toPartHead = (row: PartHeadRow): PartHead => readRow('part', row.id, partHead, row)

function byJob<P extends { readonly jobId: JobId }>(all: readonly P[]): (id: JobId) => P[] {
  const groups = new Map<JobId, P[]>()
  for (const one of all) {
    const group = groups.get(one.jobId)
    if (group === undefined) groups.set(one.jobId, [one])
    else group.push(one)
  }
  return (id) => groups.get(id) ?? []
}

/** The parts of a job in its order. */
export const readParts = async (database: Database, id: JobId): Promise<Part[]> =>
  readEach(
    database,
    await database.read
      .select()
      .from(parts)
      .where(and(eq(parts.jobId, id), isWanted))
      .orderBy(asc(parts.place)),
    toPart,
  )

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

/** Null goes back to the usual school. */
export async function saveOrder(database: Database, id: PartId, order: Part['order']): Promise<Part> {
  await readPart(database, id)
  await database.write((db) =>
    db
      .update(parts)
      .set({ layOrder: order === null ? null : toStored('chosenOrder', order) })
      .where(eq(parts.id, id)),
  )
  return readPart(database, id)
}

/** How the edges of a part end and on what it floats; what is asked for has been looked at before. */
export async function saveChoices(database: Database, id: PartId, choices: Part['choices']): Promise<Part> {
  await database.write((db) =>
    db
      .update(parts)
      .set({ choices: toStored('workChoices', choices) })
      .where(eq(parts.id, id)),
  )
  return readPart(database, id)
}

/** The piece from which a part is fitted; null = cut from the roll. */
export async function savePiece(database: Database, id: PartId, pieceId: Part['pieceId']): Promise<Part> {
  await readPart(database, id)
  if (pieceId !== null && (await readPieces(database, [pieceId])).length === 0)
    throw new NotFound(say`There is no piece "${name(pieceId)}".`, say`Choose one of the shelf.`)
  await database.write((db) => db.update(parts).set({ pieceId }).where(eq(parts.id, id)))
  return readPart(database, id)
}

/** The parts of a job that are fitted together. */
export async function readSets({ read }: Database, id: JobId): Promise<PartSet[]> {
  const row = await read.query.jobs.findFirst({ where: eq(jobs.id, id), columns: { sets: true } })
  return row?.sets ? [...readStored('partSets', id, row.sets)] : []
}

/** What is asked for has been looked at before. */
export async function saveSets(database: Database, id: JobId, sets: readonly PartSet[]): Promise<PartSet[]> {
  await database.write((db) =>
    db
      .update(jobs)
      .set({ sets: toStored('partSets', partSets.parse(sets)) })
      .where(eq(jobs.id, id)),
  )
  return readSets(database, id)
}
