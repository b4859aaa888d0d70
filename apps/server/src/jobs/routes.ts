import { chosenOrder, newJob, partId, pieceId, pieceShift } from '@truelay/contract'
import { Router } from 'express'
import { z } from 'zod'
import type { Database } from '../database/openDatabase.ts'
import { addJob } from './addJob.ts'
import { saveOrder, savePiece, saveShift } from './queries.ts'
import { asOneWrite } from '../writes/asOneWrite.ts'

export function jobRoutes(database: Database, now: () => Date): Router {
  const routes = Router()
  routes.post(
    '/jobs',
    asOneWrite(database, now, (within, req) => addJob(within, newJob.parse(req.body)), { status: 201 }),
  )
  routes.put(
    '/parts/:partId/shift',
    asOneWrite(database, now, (within, req) =>
      saveShift(within, partId.parse(req.params.partId), pieceShift.parse(req.body)),
    ),
  )
  routes.put(
    '/parts/:partId/order',
    asOneWrite(database, now, (within, req) => {
      const { chosen } = z.strictObject({ chosen: chosenOrder.nullable() }).parse(req.body)
      return saveOrder(within, partId.parse(req.params.partId), chosen)
    }),
  )
  routes.put(
    '/parts/:partId/piece',
    asOneWrite(database, now, (within, req) => {
      const { pieceId: id } = z.strictObject({ pieceId: pieceId.nullable() }).parse(req.body)
      return savePiece(within, partId.parse(req.params.partId), id)
    }),
  )
  return routes
}
