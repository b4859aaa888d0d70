import { handOverDraft, jobId, lightAcknowledgedDraft, partId } from '@truelay/contract'
import { wordsIn } from '@truelay/words'
import { Router } from 'express'
import type { Database } from '../database/openDatabase.ts'
import { readJob } from '../jobs/queries.ts'
import { paperFaces } from '../records/paper/faces.ts'
import { readShop } from '../shop/queries.ts'
import { asOneWrite } from '../writes/asOneWrite.ts'
import { readHandOver } from './readHandOver.ts'
import { acknowledgeLight, handOverJob } from './saveHandOver.ts'
import { writeHandOver } from './writeHandOver.ts'

export function handOverRoutes(database: Database, now: () => Date): Router {
  const routes = Router()
  routes.get('/jobs/:jobId/hand-over', async (req, res) => {
    res.json(await readHandOver(database, jobId.parse(req.params.jobId), now()))
  })
  routes.get('/jobs/:jobId/hand-over.pdf', async (req, res) => {
    const id = jobId.parse(req.params.jobId)
    const [sheet, job, shop] = [
      await readHandOver(database, id, now()),
      await readJob(database, id),
      await readShop(database),
    ]
    res.type('application/pdf')
    res.setHeader('Content-Disposition', `inline; filename="hand-over-${job.number}.pdf"`)
    writeHandOver({
      sheet,
      job,
      shop,
      words: wordsIn({ units: shop.units, unbroken: true }),
      faces: await paperFaces(),
    }).pipe(res)
  })
  routes.put(
    '/jobs/:jobId/hand-over',
    asOneWrite(database, now, (within, req) =>
      handOverJob(within, jobId.parse(req.params.jobId), handOverDraft.parse(req.body), now()),
    ),
  )
  routes.put(
    '/parts/:partId/light-acknowledged',
    asOneWrite(database, now, (within, req) =>
      acknowledgeLight(within, partId.parse(req.params.partId), lightAcknowledgedDraft.parse(req.body), now()),
    ),
  )
  return routes
}
