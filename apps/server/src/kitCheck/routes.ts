import { arrivedDraft, jobId, pieceId } from '@truelay/contract'
import { Router } from 'express'
import type { Database } from '../database/openDatabase.ts'
import { readKitCheck, saveArrived } from './queries.ts'
import { asOneWrite } from '../writes/asOneWrite.ts'

export function kitCheckRoutes(database: Database, now: () => Date): Router {
  const routes = Router()
  routes.get('/jobs/:jobId/kit-check', async (req, res) => {
    res.json(await readKitCheck(database, jobId.parse(req.params.jobId)))
  })
  routes.put(
    '/jobs/:jobId/kit-check/:pieceId',
    asOneWrite(database, now, (within, req) => {
      const { jobId: job, pieceId: piece } = req.params
      return saveArrived(within, jobId.parse(job), pieceId.parse(piece), arrivedDraft.parse(req.body), now())
    }),
  )
  return routes
}
