import { jobId } from '@truelay/contract'
import { practiceWith } from '@truelay/core/practice'
import { writeCalendar } from '@truelay/formats/calendar'
import { Router } from 'express'
import type { Database } from '../database/openDatabase.ts'
import { readFitLogs } from '../fit/queries.ts'
import { progressOf } from '../jobs/progressOf.ts'
import { readJob, readParts } from '../jobs/queries.ts'
import { Refused } from '../reply/reply.ts'
import { readShop } from '../shop/queries.ts'
import { edgeLooks } from './edgeLooks.ts'

export function calendarRoutes(database: Database): Router {
  const routes = Router()
  routes.get('/jobs/:jobId/edge-looks.ics', async (req, res) => {
    const job = await readJob(database, jobId.parse(req.params.jobId))
    const [parts, shop] = await Promise.all([readParts(database, job.id), readShop(database)])
    const logs = await readFitLogs(
      database,
      parts.map((p) => p.id),
    )
    const progress = parts.map((p) => progressOf(p, '', logs.get(p.id) ?? []))
    const entries = edgeLooks(job, progress, practiceWith(shop.practice))
    const [first] = entries
    if (first === undefined)
      throw new Refused({
        code: 'NOTHING_FINISHED',
        sentence: `No part of job ${job.number} is finished yet: there is no edge to look at.`,
        fix: 'Finish a part first; its looks count from then.',
      })
    res.attachment(`edge-looks-${job.number}.ics`).type('text/calendar')
    res.send(writeCalendar(entries, first.at))
  })
  return routes
}
