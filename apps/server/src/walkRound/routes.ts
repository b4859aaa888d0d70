import { findingDraft, jobId, signOffDraft } from '@truelay/contract'
import { Router } from 'express'
import { z } from 'zod'
import type { Database } from '../database/openDatabase.ts'
import { readWalkRound, removeFinding, saveFinding, saveSignOff } from './queries.ts'
import { asOneWrite } from '../writes/asOneWrite.ts'

const job = jobId
const findingId = z.uuid()

export function walkRoundRoutes(database: Database, now: () => Date): Router {
  const routes = Router()
  routes.get('/jobs/:jobId/walk-round', async (req, res) => {
    res.json(await readWalkRound(database, job.parse(req.params.jobId)))
  })
  routes.put(
    '/jobs/:jobId/findings/:findingId',
    asOneWrite(database, now, (within, req) => {
      const draft = findingDraft.parse({ ...req.body, id: req.params.findingId })
      return saveFinding(within, job.parse(req.params.jobId), draft)
    }),
  )
  routes.delete(
    '/jobs/:jobId/findings/:findingId',
    asOneWrite(database, now, async (within, req) => {
      await removeFinding(within, job.parse(req.params.jobId), findingId.parse(req.params.findingId))
      return { removed: true }
    }),
  )
  routes.put(
    '/jobs/:jobId/sign-off',
    asOneWrite(database, now, (within, req) =>
      saveSignOff(within, job.parse(req.params.jobId), signOffDraft.parse(req.body), now()),
    ),
  )
  return routes
}
