import { cutDraft, jobId, testSquareWish } from '@truelay/contract'
import { Router } from 'express'
import type { Database } from '../database/openDatabase.ts'
import { asOneWrite } from '../writes/asOneWrite.ts'
import { cutTestSquare } from './cutTestSquare.ts'
import { cutOnPlotter } from './cutOnPlotter.ts'
import { addCut, countCut, readCuts } from './queries.ts'

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
      async (within, req) => {
        const draft = cutDraft.parse(req.body)
        const added = await addCut(within, jobId.parse(req.params.jobId), draft, now())
        if (draft.file === null) await countCut(within, draft.id, now())
        return added
      },
      // The plotter takes its time; it is asked once, however often this is.
      { answer: (req) => cutOnPlotter(database, cutDraft.parse(req.body).id, now) },
    ),
  )
  routes.post(
    '/plotter/test-square',
    // Film is taken by the plotter, nothing is kept here.
    asOneWrite(database, now, async (_within, req) => testSquareWish.parse(req.body), {
      answer: (req) => cutTestSquare(database, testSquareWish.parse(req.body).sideMm),
    }),
  )
  return routes
}
