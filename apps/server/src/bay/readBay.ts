import type { Bay } from '@truelay/contract'
import type { Database } from '../database/openDatabase.ts'
import { progressOfPart } from '../fit/progressOf.ts'
import { readProgress } from '../fit/queries.ts'
import { readOpenJobs, readPartHeads } from '../jobs/queries.ts'
import { readFilmNames } from '../shelf/queries.ts'
import { readPeople, readShop } from '../shop/queries.ts'

/** The vehicles that are here or will come, each with how far its parts have come. */
export async function readBay(database: Database): Promise<Bay> {
  const open = await readOpenJobs(database)
  const [shop, people, partsOf, nameOfFilm] = await Promise.all([
    readShop(database),
    readPeople(database),
    readPartHeads(
      database,
      open.map((job) => job.id),
    ),
    readFilmNames(database),
  ])
  const jobs = open.map((job) => ({ job, parts: partsOf(job.id) }))
  const progress = await readProgress(
    database,
    jobs.flatMap(({ parts }) => parts.map((p) => p.id)),
  )
  return {
    shop,
    people,
    jobs: jobs.map(({ job, parts }) => ({
      job,
      parts: parts.map((p) => progressOfPart(p, nameOfFilm(p.filmId), progress(p.id))),
    })),
  }
}
