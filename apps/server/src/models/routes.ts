import { newModel } from '@truelay/contract'
import { Router } from 'express'
import type { Database } from '../database/openDatabase.ts'
import { addModel, readModels } from './queries.ts'

export function modelRoutes(database: Database): Router {
  const routes = Router()
  routes.get('/', async (_req, res) => {
    res.json(await readModels(database))
  })
  routes.post('/', async (req, res) => {
    res.status(201).json(await addModel(database, newModel.parse(req.body)))
  })
  return routes
}
