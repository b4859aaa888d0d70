import { batchChange, batchDraft, batchId, supply } from '@truelay/contract'
import { Router } from 'express'
import type { Database } from '../database/openDatabase.ts'
import { changeBatch, mixBatchNow, readLiquids, saveSupply } from './queries.ts'
import { asOneWrite } from '../writes/asOneWrite.ts'

export function liquidRoutes(database: Database, now: () => Date): Router {
  const routes = Router()
  routes.get('/liquids', async (_req, res) => {
    res.json(await readLiquids(database))
  })
  routes.put(
    '/batches/:batchId',
    asOneWrite(database, now, (within, req) =>
      mixBatchNow(within, batchId.parse(req.params.batchId), batchDraft.parse(req.body), now()),
    ),
  )
  routes.post(
    '/batches/:batchId/changes',
    asOneWrite(database, now, (within, req) =>
      changeBatch(within, batchId.parse(req.params.batchId), batchChange.parse(req.body), now()),
    ),
  )
  routes.put(
    '/supplies',
    asOneWrite(database, now, (within, req) => saveSupply(within, supply.parse(req.body))),
  )
  return routes
}
