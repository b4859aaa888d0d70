import { shopChange } from '@truelay/contract'
import { Router } from 'express'
import type { Database } from '../database/openDatabase.ts'
import { changeShop, readShop } from './queries.ts'
import { asOneWrite } from '../writes/asOneWrite.ts'

export function shopRoutes(database: Database, now: () => Date): Router {
  const routes = Router()
  routes.get('/', async (_req, res) => {
    res.json(await readShop(database))
  })
  routes.patch(
    '/',
    asOneWrite(database, now, (within, req) => changeShop(within, shopChange.parse(req.body))),
  )
  return routes
}
