import { cutDraft, jobId } from '@truelay/contract'
import { Router } from 'express'
import type { Database } from '../database/openDatabase.ts'
import { asOneWrite } from '../writes/asOneWrite.ts'
import { cutOnPlotter } from './cutOnPlotter.ts'
import { addCut, readCuts } from './queries.ts'

export function cutRoutes(database: Database, now: () => Date): Router {
  const routes = Router()
  routes.get('/jobs/:jobId/cuts', async (req, res) => {
    res.json(await readCuts(database, jobId.parse(req.params.jobId)))
  })
  routes.post(
    '/jobs/:jobId/cuts',
    asOneWrite(
      database,
      now,
      (within, req) => addCut(within, jobId.parse(req.params.jobId), cutDraft.parse(req.body), now()),
      // The plotter takes its time; it is asked once, however often this is.
      { answer: (req) => cutOnPlotter(database, cutDraft.parse(req.body).id, now) },
    ),
  )
  return routes
}
