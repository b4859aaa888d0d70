import {
  type Job,
  type JobCorrection,
  type JobId,
  type NewPart,
  type Part,
  type PartId,
  partId,
  stopsClosing,
  worksHere,
} from '@truelay/contract'
import { name, say } from '@truelay/core/say'
import { and, eq, isNull } from 'drizzle-orm'
import type { Database } from '../database/openDatabase.ts'
import { readStandingFit } from '../fit/keptState.ts'
import { readProgress } from '../fit/queries.ts'
import { readJob, readPart, readParts } from '../jobs/queries.ts'
import { rowOfPart } from '../jobs/rowOfPart.ts'
import { jobs, parts } from '../jobs/table.ts'
import { readModel } from '../models/queries.ts'
import { NotFound, Refused } from '../reply/reply.ts'
import { readFilms } from '../shelf/queries.ts'
import { readPeople } from '../shop/people.ts'

const mostParts = 60

/** What was taken down wrongly about a job, or has changed. */
export const correctJob = (database: Database, id: JobId, change: JobCorrection): Promise<Job> =>
  database.write(async (db, within) => {
    const before = await readJob(within, id)
    const { arrivedAt = before.arrivedAt, dueAt = before.dueAt, personId, year, ...rest } = change
    if (new Date(dueAt) <= new Date(arrivedAt))
      throw new Refused({
        code: 'LEAVES_BEFORE_IT_COMES',
        sentence: say`The vehicle must leave after it has come.`,
        fix: say`Correct one of the two times; nothing was changed.`,
      })
    if (personId !== undefined && personId !== before.personId) {
      const who = (await readPeople(within)).find((p) => p.id === personId)
      if (who === undefined || !worksHere(who))
        throw new NotFound(say`Nobody here is called "${name(personId)}".`, say`Choose a person of the shop.`)
    }
    await db
      .update(jobs)
      .set({
        ...rest,
        ...(personId === undefined ? {} : { personId }),
        ...(year === undefined ? {} : { vehicleYear: year }),
        arrivedAt,
        dueAt,
      })
      .where(eq(jobs.id, id))
    return readJob(within, id)
  })

/** Closes a job that was handed over, or opens it again. */
export const closeJob = (database: Database, id: JobId, closedAt: string | null): Promise<Job> =>
  database.write(async (db, within) => {
    await readJob(within, id)
    if (closedAt !== null) await refuseWhatStops(within, id)
    await db.update(jobs).set({ closedAt }).where(eq(jobs.id, id))
    return readJob(within, id)
  })

/** Nobody hands a vehicle over on which film lifts, hangs on a thread or is half laid. */
async function refuseWhatStops(database: Database, id: JobId): Promise<void> {
  for (const part of await readParts(database, id)) {
    const { state } = await readStandingFit(database, part.id)
    const stops = stopsClosing(part.name, state)
    if (stops !== null)
      throw new Refused({
        code: 'STILL_WRONG',
        sentence: stops,
        fix: say`Put it right in the fit of that part, or leave the part out; nothing was changed.`,
      })
  }
}

/** Takes a job off the list that was opened by mistake, or brings it back. Whatever was noted with it stays. */
export const removeJob = (database: Database, id: JobId, removedAt: string | null): Promise<Job> =>
  database.write(async (db, within) => {
    await readJob(within, id)
    await db.update(jobs).set({ removedAt }).where(eq(jobs.id, id))
    return readJob(within, id)
  })

/** One more part to be covered; one that was dropped before comes back as it was, in the film that is wanted now. */
export const addPart = (database: Database, id: JobId, wish: NewPart): Promise<Part[]> =>
  database.write(async (db, within) => {
    const job = await readJob(within, id)
    await filmOfShelf(within, wish.filmId)
    const there = await db
      .select({ id: parts.id, place: parts.place, droppedAt: parts.droppedAt, slot: parts.slot, name: parts.name })
      .from(parts)
      .where(eq(parts.jobId, id))
    const same = there.find((part) => part.slot === wish.slot && part.name === wish.name)
    if (same !== undefined && same.droppedAt === null)
      throw new Refused({
        code: 'PART_IS_IN',
        sentence: say`${name(wish.name)} is in this job already.`,
        fix: say`Choose another part; nothing was changed.`,
      })
    if (same !== undefined) {
      await dropPart(within, partId.parse(same.id), null)
      await changeFilm(within, partId.parse(same.id), wish.filmId)
      return readParts(within, id)
    }
    if (there.length >= mostParts)
      throw new Refused({
        code: 'PARTS_FULL',
        sentence: say`A job holds ${name(`${mostParts}`)} parts at most.`,
        fix: say`Take the vehicle in once more for the others.`,
      })
    const place = Math.max(-1, ...there.map((part) => part.place)) + 1
    const model = await readModel(within, job.vehicle.modelId)
    await db.insert(parts).values(await rowOfPart(within, { job: id, place, wish, model }))
    return readParts(within, id)
  })

/** A part is not to be covered after all, or it is. What was done on it stays on record. */
export const dropPart = (database: Database, id: PartId, droppedAt: string | null): Promise<Part[]> =>
  database.write(async (db, within) => {
    const { jobId } = await readPart(within, id)
    const wanted = await db
      .select({ id: parts.id })
      .from(parts)
      .where(and(eq(parts.jobId, jobId), isNull(parts.droppedAt)))
    if (droppedAt !== null && wanted.every((part) => part.id === id))
      throw new Refused({
        code: 'LAST_PART',
        sentence: say`It is the last part of this job.`,
        fix: say`Add another part first, or take the whole job off the list; nothing was changed.`,
      })
    await db.update(parts).set({ droppedAt }).where(eq(parts.id, id))
    return readParts(within, jobId)
  })

/** Another film for a part that nobody has begun. Its piece was cut from the old film, so it is chosen anew. */
export const changeFilm = (database: Database, id: PartId, filmId: Part['filmId']): Promise<Part> =>
  database.write(async (db, within) => {
    const before = await readPart(within, id)
    if (before.filmId === filmId) return before
    await filmOfShelf(within, filmId)
    if ((await readProgress(within, [id]))(id).state !== 'waiting')
      throw new Refused({
        code: 'FIT_HAS_BEGUN',
        sentence: say`${name(before.name)} has been begun with its film.`,
        fix: say`Its record keeps that film. Go back to the first step, or take the vehicle in once more for another film.`,
      })
    await db.update(parts).set({ filmId, pieceId: null, layOrder: null }).where(eq(parts.id, id))
    return readPart(within, id)
  })

async function filmOfShelf(database: Database, id: Part['filmId']): Promise<void> {
  if ((await readFilms(database, [id])).length === 0)
    throw new NotFound(say`There is no film "${name(id)}" on the shelf.`, say`Choose a film of the shelf.`)
}
