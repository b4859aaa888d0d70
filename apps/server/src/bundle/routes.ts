import { jobId } from '@truelay/contract'
import { Router } from 'express'
import type { Database } from '../database/openDatabase.ts'
import { readBundle } from './readBundle.ts'

export function bundleRoutes(database: Database): Router {
  const routes = Router()
  routes.get('/jobs/:jobId', async (req, res) => {
    res.json(await readBundle(database, jobId.parse(req.params.jobId)))
  })
  return routes
}
