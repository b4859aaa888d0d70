import { Router } from 'express'
import type { Database } from '../database/openDatabase.ts'
import { readFacts } from './readFacts.ts'

export function memoryRoutes(database: Database): Router {
  const routes = Router()
  routes.get('/memory', async (_req, res) => {
    res.json(await readFacts(database))
  })
  return routes
}
