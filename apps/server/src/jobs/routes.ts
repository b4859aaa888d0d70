import { chosenOrder, jobId, newJob, partId, pieceShift } from '@truelay/contract'
import { Router } from 'express'
import { z } from 'zod'
import type { Database } from '../database/openDatabase.ts'
import { addJob } from './addJob.ts'
import { readBay } from './bay.ts'
import { readBundle } from './bundle.ts'
import { saveOrder, saveShift } from './queries.ts'

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
  routes.put('/parts/:partId/order', async (req, res) => {
    const { chosen } = z.strictObject({ chosen: chosenOrder.nullable() }).parse(req.body)
    res.json(await saveOrder(database, partId.parse(req.params.partId), chosen))
  })
  return routes
}
