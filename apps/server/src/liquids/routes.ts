import { batchChange, batchDraft, batchId, supply } from '@truelay/contract'
import { Router } from 'express'
import type { Database } from '../database/openDatabase.ts'
import { changeBatch, mixBatchNow, readLiquids, saveSupply } from './queries.ts'

export function liquidRoutes(database: Database, now: () => Date): Router {
  const routes = Router()
  routes.get('/liquids', async (_req, res) => {
    res.json(await readLiquids(database))
  })
  routes.put('/batches/:batchId', async (req, res) => {
    const { id, ...draft } = batchDraft.parse(req.body)
    res.json(await mixBatchNow(database, batchId.parse(req.params.batchId), { id, ...draft }, now()))
  })
  routes.post('/batches/:batchId/changes', async (req, res) => {
    const change = batchChange.parse(req.body)
    res.json(await changeBatch(database, batchId.parse(req.params.batchId), change, now()))
  })
  routes.put('/supplies', async (req, res) => {
    res.json(await saveSupply(database, supply.parse(req.body)))
  })
  return routes
}
