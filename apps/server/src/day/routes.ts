import { Router } from 'express'
import type { DayKeeper } from './keepDay.ts'

export function dayRoutes(keeper: DayKeeper): Router {
  const routes = Router()
  routes.get('/day', async (_req, res) => {
    res.json(await keeper.answer())
  })
  return routes
}
