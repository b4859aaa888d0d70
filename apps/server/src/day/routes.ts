import { askedPromise, dayWishes } from '@truelay/contract'
import { Router } from 'express'
import type { Database } from '../database/openDatabase.ts'
import { inQuery } from '../reply/inQuery.ts'
import { asOneWrite } from '../writes/asOneWrite.ts'
import type { DayKeeper } from './keepDay.ts'
import { taughtToday } from './taughtToday.ts'
import { checkWishes, saveWishes } from './wishes.ts'

export function dayRoutes(database: Database, now: () => Date, keeper: DayKeeper): Router {
  const routes = Router()
  routes.get('/day', async (_req, res) => {
    res.json(await keeper.answer())
  })
  routes.get('/day/taught', async (_req, res) => {
    res.json(await taughtToday(database, now()))
  })
  // Both only ask: nothing is kept.
  routes.get('/day/tried', async (req, res) => {
    const wishes = dayWishes.parse(inQuery(req.query.wishes))
    await checkWishes(database, wishes)
    res.json(await keeper.tried(wishes))
  })
  routes.get('/day/promise', async (req, res) => {
    res.json(await keeper.promise(askedPromise.parse(inQuery(req.query.asked))))
  })
  routes.put(
    '/day/wishes',
    asOneWrite(database, now, (within, req) => saveWishes(within, dayWishes.parse(req.body), now())),
  )
  return routes
}
