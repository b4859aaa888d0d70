import { filmId, jobCorrection, jobId, newPart, partId, toForget } from '@truelay/contract'
import { Router } from 'express'
import { z } from 'zod'
import type { Database } from '../database/openDatabase.ts'
import { asOneWrite } from '../writes/asOneWrite.ts'
import { addPart, changeFilm, closeJob, correctJob, dropPart, removeJob } from './correctJob.ts'
import { forgetCustomer } from './forgetCustomer.ts'
import { readRemoved } from './readRemoved.ts'
import { type Removable, removable, removeThing } from './removeThing.ts'

const closed = z.strictObject({ closed: z.boolean() })
const removed = z.strictObject({ removed: z.boolean() })
const dropped = z.strictObject({ dropped: z.boolean() })
const thingId = z.string().min(1).max(64)
const film = z.strictObject({ filmId })

export function correctionRoutes(database: Database, now: () => Date): Router {
  const routes = Router()
  const sinceNow = (yes: boolean) => (yes ? now().toISOString() : null)
  routes.patch(
    '/jobs/:jobId',
    asOneWrite(database, now, (within, req) =>
      correctJob(within, jobId.parse(req.params.jobId), jobCorrection.parse(req.body)),
    ),
  )
  routes.put(
    '/jobs/:jobId/closed',
    asOneWrite(database, now, (within, req) =>
      closeJob(within, jobId.parse(req.params.jobId), sinceNow(closed.parse(req.body).closed)),
    ),
  )
  routes.put(
    '/jobs/:jobId/removed',
    asOneWrite(database, now, (within, req) =>
      removeJob(within, jobId.parse(req.params.jobId), sinceNow(removed.parse(req.body).removed)),
    ),
  )
  routes.post(
    '/jobs/:jobId/parts',
    asOneWrite(
      database,
      now,
      (within, req) => addPart(within, jobId.parse(req.params.jobId), newPart.parse(req.body)),
      { status: 201 },
    ),
  )
  routes.put(
    '/parts/:partId/dropped',
    asOneWrite(database, now, (within, req) =>
      dropPart(within, partId.parse(req.params.partId), sinceNow(dropped.parse(req.body).dropped)),
    ),
  )
  routes.put(
    '/parts/:partId/film',
    asOneWrite(database, now, (within, req) =>
      changeFilm(within, partId.parse(req.params.partId), film.parse(req.body).filmId),
    ),
  )
  routes.post(
    '/customers/forgotten',
    asOneWrite(database, now, (within, req) => forgetCustomer(within, toForget.parse(req.body).customer)),
  )
  routes.get('/removed', async (_req, res) => {
    res.json(await readRemoved(database))
  })
  for (const kind of Object.keys(removable) as Removable[])
    routes.put(
      `/${kind}/:id/removed`,
      asOneWrite(database, now, (within, req) =>
        removeThing(within, kind, thingId.parse(req.params.id), sinceNow(removed.parse(req.body).removed)),
      ),
    )
  return routes
}
