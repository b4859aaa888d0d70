import { jobId, partId, partSets, workChange } from '@truelay/contract'
import { Router } from 'express'
import { z } from 'zod'
import type { Database } from '../database/openDatabase.ts'
import { chooseSets } from './chooseSets.ts'
import { chooseWork } from './chooseWork.ts'
import { readBundle } from './readBundle.ts'
import { asOneWrite } from '../writes/asOneWrite.ts'

export function bundleRoutes(database: Database, now: () => Date): Router {
  const routes = Router()
  routes.get('/jobs/:jobId', async (req, res) => {
    res.json(await readBundle(database, jobId.parse(req.params.jobId)))
  })
  routes.patch(
    '/parts/:partId/choices',
    asOneWrite(database, now, (within, req) =>
      chooseWork(within, partId.parse(req.params.partId), workChange.parse(req.body)),
    ),
  )
  routes.put(
    '/jobs/:jobId/sets',
    asOneWrite(database, now, (within, req) => {
      const { sets } = z.strictObject({ sets: partSets }).parse(req.body)
      return chooseSets(within, jobId.parse(req.params.jobId), sets)
    }),
  )
  return routes
}
