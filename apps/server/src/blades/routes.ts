import { bladeEntry } from '@truelay/contract'
import { Router } from 'express'
import type { Database } from '../database/openDatabase.ts'
import { addBladeStroke, readBlades } from './queries.ts'

export function bladeRoutes(database: Database): Router {
  const routes = Router()
  routes.get('/blades', async (_req, res) => {
    res.json(await readBlades(database))
  })
  routes.post('/blades', async (req, res) => {
    res.status(201).json(await addBladeStroke(database, bladeEntry.parse(req.body)))
  })
  return routes
}
