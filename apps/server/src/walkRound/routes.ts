import { findingDraft, jobId, signOffDraft } from '@truelay/contract'
import { Router } from 'express'
import { z } from 'zod'
import type { Database } from '../database/openDatabase.ts'
import { readWalkRound, removeFinding, saveFinding, saveSignOff } from './queries.ts'

const job = jobId
const findingId = z.uuid()

export function walkRoundRoutes(database: Database, now: () => Date): Router {
  const routes = Router()
  routes.get('/jobs/:jobId/walk-round', async (req, res) => {
    res.json(await readWalkRound(database, job.parse(req.params.jobId)))
  })
  routes.put('/jobs/:jobId/findings/:findingId', async (req, res) => {
    const draft = findingDraft.parse({ ...req.body, id: req.params.findingId })
    res.json(await saveFinding(database, job.parse(req.params.jobId), draft))
  })
  routes.delete('/jobs/:jobId/findings/:findingId', async (req, res) => {
    await removeFinding(database, job.parse(req.params.jobId), findingId.parse(req.params.findingId))
    res.json({ removed: true })
  })
  routes.put('/jobs/:jobId/sign-off', async (req, res) => {
    res.json(await saveSignOff(database, job.parse(req.params.jobId), signOffDraft.parse(req.body), now()))
  })
  return routes
}
