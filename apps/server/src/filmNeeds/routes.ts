import { jobId, type RollBook, rollId } from '@truelay/contract'
import { Router } from 'express'
import type { Database } from '../database/openDatabase.ts'
import { readJobNumbers } from '../jobs/queries.ts'
import { countedRoll, readRoll, readRollLines } from '../stock/queries.ts'
import { readFilmOfJob } from './readFilmOfJob.ts'
import { readStock } from './readStock.ts'

export function filmNeedRoutes(database: Database): Router {
  const routes = Router()
  routes.get('/stock', async (_req, res) => {
    res.json(await readStock(database))
  })
  routes.get('/jobs/:jobId/film', async (req, res) => {
    res.json(await readFilmOfJob(database, jobId.parse(req.params.jobId)))
  })
  routes.get('/stock/rolls/:rollId', async (req, res) => {
    const roll = await readRoll(database, rollId.parse(req.params.rollId))
    const lines = await readRollLines(database, roll.id)
    const numberOf = await readJobNumbers(
      database,
      lines.flatMap(({ jobId }) => (jobId === null ? [] : [jobId])),
    )
    const book: RollBook = {
      ...countedRoll(roll, lines),
      lines: lines
        .map((line) => ({
          ...line,
          job: line.jobId === null ? null : { jobId: line.jobId, number: numberOf(line.jobId) },
        }))
        .reverse(),
    }
    res.json(book)
  })
  return routes
}
