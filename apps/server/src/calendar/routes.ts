import { jobId, openProblems, type PartId, type Problem } from '@truelay/contract'
import { practiceWith } from '@truelay/core/practice'
import { writeCalendar } from '@truelay/formats/calendar'
import { name, say } from '@truelay/core/say'
import { wordsIn } from '@truelay/words'
import { Router } from 'express'
import type { Database } from '../database/openDatabase.ts'
import { readStandingFit } from '../fit/keptState.ts'
import { readProgress } from '../fit/queries.ts'
import { readJob, readParts, readVisitsOf } from '../jobs/queries.ts'
import { Refused } from '../reply/reply.ts'
import { readShop } from '../shop/queries.ts'
import { edgeLooks, visitsOf } from './edgeLooks.ts'

/** What was wrong on a part and is to be looked at again. */
async function leftOpen(database: Database, partId: PartId): Promise<Problem[]> {
  const { state } = await readStandingFit(database, partId)
  return state.phase === 'not begun' ? [] : openProblems(state)
}

export function calendarRoutes(database: Database, now: () => Date): Router {
  const routes = Router()
  routes.get('/jobs/:jobId/edge-looks.ics', async (req, res) => {
    const job = await readJob(database, jobId.parse(req.params.jobId))
    const [parts, shop, visits] = await Promise.all([
      readParts(database, job.id),
      readShop(database),
      readVisitsOf(database, job.id),
    ])
    const progress = await readProgress(
      database,
      parts.map((p) => p.id),
    )
    const words = wordsIn({ units: shop.units })
    const looks = edgeLooks(
      job,
      await Promise.all(
        parts.map(async ({ id, name: called }) => ({
          partId: id,
          name: called,
          finishedAt: progress(id).finishedAt,
          open: await leftOpen(database, id),
        })),
      ),
      practiceWith(shop.practice),
      shop.hours,
    )
    const entries = [...looks, ...visitsOf(visits)].map(({ title, says, ...entry }) => ({
      ...entry,
      title: words(title),
      says: words(says),
    }))
    if (entries.length === 0)
      throw new Refused({
        code: 'NOTHING_FINISHED',
        sentence: say`No part of job ${name(job.number)} is finished yet: there is no edge to look at.`,
        fix: say`Finish a part first; its looks count from then.`,
      })
    res.attachment(`edge-looks-${job.number}.ics`).type('text/calendar')
    res.send(writeCalendar(entries, now()))
  })
  return routes
}
