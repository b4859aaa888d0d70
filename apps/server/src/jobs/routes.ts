import { chosenOrder, newJob, partId, pieceId, pieceShift } from '@truelay/contract'
import { Router } from 'express'
import { z } from 'zod'
import type { Database } from '../database/openDatabase.ts'
import { addJob } from './addJob.ts'
import { saveOrder, savePiece, saveShift } from './queries.ts'

export function jobRoutes(database: Database): Router {
  const routes = Router()
  routes.post('/jobs', async (req, res) => {
    res.status(201).json(await addJob(database, newJob.parse(req.body)))
  })
  routes.put('/parts/:partId/shift', async (req, res) => {
    res.json(await saveShift(database, partId.parse(req.params.partId), pieceShift.parse(req.body)))
  })
  routes.put('/parts/:partId/order', async (req, res) => {
    const { chosen } = z.strictObject({ chosen: chosenOrder.nullable() }).parse(req.body)
    res.json(await saveOrder(database, partId.parse(req.params.partId), chosen))
  })
  routes.put('/parts/:partId/piece', async (req, res) => {
    const { pieceId: id } = z.strictObject({ pieceId: pieceId.nullable() }).parse(req.body)
    res.json(await savePiece(database, partId.parse(req.params.partId), id))
  })
  return routes
}
