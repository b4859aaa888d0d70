import { jobId, newJob, partId, pieceShift } from '@truelay/contract'
import { Router } from 'express'
import type { Database } from '../database/openDatabase.ts'
import { addJob } from './addJob.ts'
import { readBay } from './bay.ts'
import { readBundle } from './bundle.ts'
import { saveShift } from './queries.ts'

export function jobRoutes(database: Database): Router {
  const routes = Router()
  routes.get('/bay', async (_req, res) => {
    res.json(await readBay(database))
  })
  routes.post('/jobs', async (req, res) => {
    res.status(201).json(await addJob(database, newJob.parse(req.body)))
  })
  routes.get('/jobs/:jobId', async (req, res) => {
    res.json(await readBundle(database, jobId.parse(req.params.jobId)))
  })
  routes.put('/parts/:partId/shift', async (req, res) => {
    res.json(await saveShift(database, partId.parse(req.params.partId), pieceShift.parse(req.body)))
  })
  return routes
}
