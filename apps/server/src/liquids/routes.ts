import { batchChange, batchDraft, batchId, supply } from '@truelay/contract'
import { Router } from 'express'
import type { Database } from '../database/openDatabase.ts'
import { Unchanging } from '../database/unchanging.ts'
import { untilWritten } from '../database/untilWritten.ts'
import { changeBatch, mixBatchNow, saveSupply } from './queries.ts'
import { readLiquids } from './readLiquids.ts'
import { asOneWrite } from '../writes/asOneWrite.ts'

export function liquidRoutes(database: Database, now: () => Date): Router {
  const routes = Router()
  const needsKept = new Unchanging(1000)
  const liquids = untilWritten(database, async () => JSON.stringify(await readLiquids(database, now(), needsKept)))
  routes.get('/liquids', async (_req, res) => {
    res.type('json').send(await liquids())
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
