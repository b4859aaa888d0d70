import { modelId, newModel, vehicleModel } from '@truelay/contract'
import { name, say } from '@truelay/core/say'
import { Router } from 'express'
import type { Database } from '../database/openDatabase.ts'
import { Refused } from '../reply/reply.ts'
import { addModel, readModels, saveModel } from './queries.ts'
import { asOneWrite } from '../writes/asOneWrite.ts'

export function modelRoutes(database: Database, now: () => Date): Router {
  const routes = Router()
  routes.get('/', async (_req, res) => {
    res.json(await readModels(database))
  })
  routes.post(
    '/',
    asOneWrite(database, now, (within, req) => addModel(within, newModel.parse(req.body)), { status: 201 }),
  )
  routes.put(
    '/:modelId',
    asOneWrite(database, now, (within, req) => {
      const draft = vehicleModel.parse(req.body)
      if (draft.id !== modelId.parse(req.params.modelId))
        throw new Refused({
          code: 'OTHER_MODEL',
          sentence: say`The model "${name(draft.id)}" was sent to the address of "${name(String(req.params.modelId))}".`,
          fix: say`Save each model under its own id.`,
        })
      return saveModel(within, draft)
    }),
  )
  return routes
}
