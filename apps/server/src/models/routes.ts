import { newModel } from '@truelay/contract'
import { Router } from 'express'
import type { Database } from '../database/openDatabase.ts'
import { addModel, readModels } from './queries.ts'
import { asOneWrite } from '../writes/asOneWrite.ts'

export function modelRoutes(database: Database, now: () => Date): Router {
  const routes = Router()
  routes.get('/', async (_req, res) => {
    res.json(await readModels(database))
  })
  routes.post(
    '/',
    asOneWrite(database, now, (within, req) => addModel(within, newModel.parse(req.body)), { status: 201 }),
  )
  return routes
}
