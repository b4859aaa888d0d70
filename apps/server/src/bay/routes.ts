import { Router } from 'express'
import type { Database } from '../database/openDatabase.ts'
import { untilWritten } from '../database/untilWritten.ts'
import { readBay } from './readBay.ts'

export function bayRoutes(database: Database): Router {
  const routes = Router()
  const bay = untilWritten(database, async () => JSON.stringify(await readBay(database)))
  routes.get('/bay', async (_req, res) => {
    res.type('json').send(await bay())
  })
  return routes
}
