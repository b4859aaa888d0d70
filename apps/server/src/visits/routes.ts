import { jobId, newVisit } from '@truelay/contract'
import { Router } from 'express'
import type { Database } from '../database/openDatabase.ts'
import { asOneWrite } from '../writes/asOneWrite.ts'
import { openVisit } from './openVisit.ts'

export function visitRoutes(database: Database, now: () => Date): Router {
  const routes = Router()
  routes.post(
    '/jobs/:jobId/visits',
    asOneWrite(
      database,
      now,
      (within, req) => openVisit(within, jobId.parse(req.params.jobId), newVisit.parse(req.body)),
      { status: 201 },
    ),
  )
  return routes
}
