import { firstShop } from '@truelay/contract'
import { Router } from 'express'
import type { Database } from '../database/openDatabase.ts'
import { asOneWrite } from '../writes/asOneWrite.ts'
import { openShop } from './openShop.ts'

export function openingRoutes(database: Database, now: () => Date): Router {
  const routes = Router()
  routes.post(
    '/shop',
    asOneWrite(database, now, (within, req) => openShop(within, firstShop.parse(req.body)), { status: 201 }),
  )
  return routes
}
