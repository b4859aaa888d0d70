import { jobSearch } from '@truelay/contract'
import { Router } from 'express'
import type { Database } from '../database/openDatabase.ts'
import { readJobList } from './readJobList.ts'

export function jobListRoutes(database: Database): Router {
  const routes = Router()
  routes.get('/jobs', async (req, res) => {
    res.json(await readJobList(database, jobSearch.parse(req.query)))
  })
  return routes
}
