import { formDoc, formId, formVersions, partId } from '@truelay/contract'
import { name, say } from '@truelay/core/say'
import { Router } from 'express'
import { z } from 'zod'
import type { Database } from '../database/openDatabase.ts'
import { readPart } from '../jobs/queries.ts'
import { Refused } from '../reply/reply.ts'
import { readNewestForm, readNewestForms, saveForm, takeForm } from './queries.ts'
import { readShapes } from './shapes.ts'
import { asOneWrite } from '../writes/asOneWrite.ts'

export function formRoutes(database: Database, now: () => Date): Router {
  const routes = Router()
  routes.get('/forms', async (_req, res) => {
    res.json(await readNewestForms(database))
  })
  routes.get('/shapes', async (req, res) => {
    res.json(await readShapes(database, formVersions.parse(req.query.of)))
  })
  routes.get('/forms/:formId', async (req, res) => {
    res.json(await readNewestForm(database, formId.parse(req.params.formId)))
  })
  routes.put(
    '/forms/:formId',
    asOneWrite(database, now, async (within, req) => {
      const draft = formDoc.parse(req.body)
      if (draft.id !== formId.parse(req.params.formId))
        throw new Refused({
          code: 'OTHER_FORM',
          sentence: say`The form "${name(draft.id)}" was sent to the address of "${name(String(req.params.formId))}".`,
          fix: say`Save each form under its own id.`,
        })
      return saveForm(within, draft)
    }),
  )
  routes.put(
    '/parts/:partId/form',
    asOneWrite(database, now, async (within, req) => {
      const part = await readPart(within, partId.parse(req.params.partId))
      await takeForm(within, part.id, z.strictObject({ formId }).parse(req.body).formId)
      return readPart(within, part.id)
    }),
  )
  return routes
}
