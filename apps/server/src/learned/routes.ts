import { Router } from 'express'
import type { Database } from '../database/openDatabase.ts'
import { readLearned } from './readLearned.ts'

export function learnedRoutes(database: Database): Router {
  const routes = Router()
  routes.get('/learned', async (_req, res) => {
    res.json(await readLearned(database))
  })
  return routes
}
