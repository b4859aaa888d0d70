import type { Bay } from '@truelay/contract'
import { asc, isNull } from 'drizzle-orm'
import type { Database } from '../database/openDatabase.ts'
import { progressOfPart } from '../fit/progressOf.ts'
import { readProgress } from '../fit/queries.ts'
import { readParts, toJob } from '../jobs/queries.ts'
import { jobs } from '../jobs/table.ts'
import { readFilms } from '../shelf/queries.ts'
import { readPeople, readShop } from '../shop/queries.ts'
import { readEach } from '../database/stored.ts'

/** The vehicles that are here or will come, each with how far its parts have come. */
export async function readBay(database: Database): Promise<Bay> {
  const rows = await database.read.select().from(jobs).where(isNull(jobs.closedAt)).orderBy(asc(jobs.dueAt))
  const [shop, people] = await Promise.all([readShop(database), readPeople(database)])
  const open = await Promise.all(
    readEach(database, rows, toJob).map(async (job) => {
      const parts = await readParts(database, job.id)
      const [progress, films] = await Promise.all([
        readProgress(
          database,
          parts.map((p) => p.id),
        ),
        readFilms(database, [...new Set(parts.map((p) => p.filmId))]),
      ])
      const filmName = (id: string) => films.find((f) => f.id === id)?.name ?? ''
      return { job, parts: parts.map((p) => progressOfPart(p, filmName(p.filmId), progress(p.id))) }
    }),
  )
  return { shop, people, jobs: open }
}
