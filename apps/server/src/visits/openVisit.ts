import { type Job, type JobId, jobId, type NewVisit, partId, worksHere } from '@truelay/contract'
import { name, say } from '@truelay/core/say'
import { and, asc, eq, inArray } from 'drizzle-orm'
import type { Database } from '../database/openDatabase.ts'
import { readProgress } from '../fit/queries.ts'
import { NotFound, Refused } from '../reply/reply.ts'
import { readPeople } from '../shop/people.ts'
import { nextNumber } from '../jobs/nextNumber.ts'
import { readJob, readParts } from '../jobs/queries.ts'
import { jobs, parts } from '../jobs/table.ts'

/** Opens a come-back visit: a short job of its own on parts that were laid, each with a log of its own. */
export async function openVisit(database: Database, of: JobId, visit: NewVisit): Promise<Job> {
  const { closedAt } = await readJob(database, of)
  const people = await readPeople(database)
  if (!people.some((p) => p.id === visit.personId && worksHere(p)))
    throw new NotFound(say`Nobody here is called "${name(visit.personId)}".`, say`Choose a person of the shop.`)
  const wanted = [...new Set(visit.partIds)]
  const all = (await readParts(database, of)).map(({ id }) => id)
  const progress = await readProgress(database, [...all, ...wanted])
  // A job of which nothing was logged went out before there was a log: its parts lie on the vehicle all the same.
  const unlogged = closedAt !== null && all.every((id) => progress(id).state === 'waiting')
  const laid = wanted.filter((id) => progress(id).state === 'done' || unlogged)
  if (laid.length < wanted.length)
    throw new Refused({
      code: 'NOT_LAID',
      sentence: say`A part that is not finished cannot be come back to.`,
      fix: say`Finish it in its own job first, or leave it out of the visit.`,
    })
  const number = await database.write(async (db) => {
    const [row] = await db.select().from(jobs).where(eq(jobs.id, of))
    const rows = await db
      .select()
      .from(parts)
      .where(and(eq(parts.jobId, of), inArray(parts.id, laid)))
      .orderBy(asc(parts.place))
    if (row === undefined || rows.length < laid.length)
      throw new NotFound(say`A part of that name is not in job "${name(of)}".`, say`Choose parts of this job.`)
    const next = await nextNumber(db)
    await db.insert(jobs).values({
      ...row,
      id: next,
      number: next,
      personId: visit.personId,
      arrivedAt: visit.arrivesAt,
      dueAt: visit.dueAt,
      closedAt: null,
      removedAt: null,
      signOff: null,
      sets: null,
      visitOf: of,
    })
    for (const [place, part] of rows.entries())
      await db.insert(parts).values({
        ...part,
        id: partId.parse(`${next}-${String(place + 1).padStart(2, '0')}`),
        jobId: next,
        place,
        droppedAt: null,
        visitOf: part.id,
      })
    return next
  })
  return readJob(database, jobId.parse(number))
}
