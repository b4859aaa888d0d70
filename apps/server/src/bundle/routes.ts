import { jobId, partId, partSets, workChoices } from '@truelay/contract'
import { Router } from 'express'
import { z } from 'zod'
import type { Database } from '../database/openDatabase.ts'
import { chooseSets } from './chooseSets.ts'
import { chooseWork } from './chooseWork.ts'
import { readBundle } from './readBundle.ts'

export function bundleRoutes(database: Database): Router {
  const routes = Router()
  routes.get('/jobs/:jobId', async (req, res) => {
    res.json(await readBundle(database, jobId.parse(req.params.jobId)))
  })
  routes.put('/parts/:partId/choices', async (req, res) => {
    res.json(await chooseWork(database, partId.parse(req.params.partId), workChoices.parse(req.body)))
  })
  routes.put('/jobs/:jobId/sets', async (req, res) => {
    const { sets } = z.strictObject({ sets: partSets }).parse(req.body)
    res.json(await chooseSets(database, jobId.parse(req.params.jobId), sets))
  })
  return routes
}
