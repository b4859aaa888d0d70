import { arrivedDraft, jobId, pieceId } from '@truelay/contract'
import { Router } from 'express'
import type { Database } from '../database/openDatabase.ts'
import { readKitCheck, saveArrived } from './queries.ts'

export function kitCheckRoutes(database: Database, now: () => Date): Router {
  const routes = Router()
  routes.get('/jobs/:jobId/kit-check', async (req, res) => {
    res.json(await readKitCheck(database, jobId.parse(req.params.jobId)))
  })
  routes.put('/jobs/:jobId/kit-check/:pieceId', async (req, res) => {
    const draft = arrivedDraft.parse(req.body)
    res.json(
      await saveArrived(database, jobId.parse(req.params.jobId), pieceId.parse(req.params.pieceId), draft, now()),
    )
  })
  return routes
}
