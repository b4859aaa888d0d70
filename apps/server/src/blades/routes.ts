import { bladeEntry } from '@truelay/contract'
import { Router } from 'express'
import type { Database } from '../database/openDatabase.ts'
import { addBladeStroke, readBlades } from './queries.ts'
import { asOneWrite } from '../writes/asOneWrite.ts'

export function bladeRoutes(database: Database, now: () => Date): Router {
  const routes = Router()
  routes.get('/blades', async (_req, res) => {
    res.json(await readBlades(database))
  })
  routes.post(
    '/blades',
    asOneWrite(database, now, (within, req) => addBladeStroke(within, bladeEntry.parse(req.body)), { status: 201 }),
  )
  return routes
}
