import { shopChange } from '@truelay/contract'
import { Router } from 'express'
import type { Database } from '../database/openDatabase.ts'
import { changeShop, readShop } from './queries.ts'

export function shopRoutes(database: Database): Router {
  const routes = Router()
  routes.get('/', async (_req, res) => {
    res.json(await readShop(database))
  })
  routes.patch('/', async (req, res) => {
    res.json(await changeShop(database, shopChange.parse(req.body)))
  })
  return routes
}
