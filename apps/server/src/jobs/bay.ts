import type { Bay } from '@truelay/contract'
import { asc, isNull } from 'drizzle-orm'
import type { Database } from '../database/openDatabase.ts'
import { readFitLogs } from '../fit/queries.ts'
import { readFilms } from '../shelf/queries.ts'
import { readPeople, readShop } from '../shop/queries.ts'
import { progressOf } from './progressOf.ts'
import { readParts, toJob } from './queries.ts'
import { jobs } from './table.ts'

/** The vehicles that are here or will come, each with how far its parts have come. */
export async function readBay(database: Database): Promise<Bay> {
  const rows = await database.read.select().from(jobs).where(isNull(jobs.closedAt)).orderBy(asc(jobs.dueAt))
  const [shop, people] = await Promise.all([readShop(database), readPeople(database)])
  const open = await Promise.all(
    rows.map(async (row) => {
      const job = toJob(row)
      const parts = await readParts(database, job.id)
      const [logs, films] = await Promise.all([
        readFitLogs(
          database,
          parts.map((p) => p.id),
        ),
        readFilms(database, [...new Set(parts.map((p) => p.filmId))]),
      ])
      return {
        job,
        parts: parts.map((p) => progressOf(p, films.find((f) => f.id === p.filmId)?.name ?? '', logs.get(p.id) ?? [])),
      }
    }),
  )
  return { shop, people, jobs: open }
}
