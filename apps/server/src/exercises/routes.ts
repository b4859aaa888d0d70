import { exerciseRun } from '@truelay/contract'
import { Router } from 'express'
import type { Database } from '../database/openDatabase.ts'
import { asOneWrite } from '../writes/asOneWrite.ts'
import { addExercise, readExercises } from './queries.ts'

export function exerciseRoutes(database: Database, now: () => Date): Router {
  const routes = Router()
  routes.get('/exercises', async (_req, res) => {
    res.json(await readExercises(database))
  })
  routes.post(
    '/exercises',
    asOneWrite(database, now, (within, req) => addExercise(within, exerciseRun.parse(req.body)), { status: 201 }),
  )
  return routes
}
