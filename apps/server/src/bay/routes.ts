import { Router } from 'express'
import type { Database } from '../database/openDatabase.ts'
import { readBay } from './readBay.ts'

export function bayRoutes(database: Database): Router {
  const routes = Router()
  routes.get('/bay', async (_req, res) => {
    res.json(await readBay(database))
  })
  return routes
}
