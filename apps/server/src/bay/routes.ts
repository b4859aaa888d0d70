import { Router } from 'express'
import type { Database } from '../database/openDatabase.ts'
import { answerBay } from './answerBay.ts'

export function bayRoutes(database: Database): Router {
  const routes = Router()
  const bay = answerBay(database)
  routes.get('/bay', async (_req, res) => {
    res.type('json').send(await bay())
  })
  return routes
}
