import { type PartId, partId, replayFit } from '@truelay/contract'
import { name, say } from '@truelay/core/say'
import { wordsIn } from '@truelay/words'
import { Router } from 'express'
import type { Database } from '../database/openDatabase.ts'
import { readFitLog } from '../fit/queries.ts'
import { readJob, readPart } from '../jobs/queries.ts'
import { NotFound } from '../reply/reply.ts'
import { readKitCheck } from '../kitCheck/queries.ts'
import { readFilms, readKits, readPieces } from '../shelf/queries.ts'
import { readPeople } from '../shop/people.ts'
import { readShop } from '../shop/queries.ts'
import { readFindings } from '../walkRound/queries.ts'
import { recordOf } from './recordOf.ts'
import { paperFaces } from './paper/faces.ts'
import { writeRecord } from './paper/writeRecord.ts'
import type { PhotoStore } from '../photos/photoStore.ts'

export function recordRoutes(database: Database, photos: PhotoStore): Router {
  const routes = Router()
  routes.get('/parts/:partId/record', async (req, res) => {
    res.json((await readRecord(database, partId.parse(req.params.partId))).record)
  })
  routes.get('/parts/:partId/record.pdf', async (req, res) => {
    const { record, shop } = await readRecord(database, partId.parse(req.params.partId))
    res.type('application/pdf')
    res.setHeader('Content-Disposition', `inline; filename="${record.job.number}-${record.part.id}.pdf"`)
    const words = wordsIn({ units: shop.units })
    writeRecord({ record, shop, words, faces: await paperFaces(), photoFile: photos.fileOf }).pipe(res)
  })
  return routes
}

async function readRecord(database: Database, id: PartId) {
  const part = await readPart(database, id)
  const [job, [film], pieces, people, log, shop, check, findings] = await Promise.all([
    readJob(database, part.jobId),
    readFilms(database, [part.filmId]),
    readPieces(database, part.pieceId === null ? [] : [part.pieceId]),
    readPeople(database),
    readFitLog(database, id),
    readShop(database),
    readKitCheck(database, part.jobId),
    readFindings(database, part.jobId),
  ])
  const piece = pieces[0] ?? null
  const [kit] = piece === null ? [] : await readKits(database, [piece.kitId])
  if (film === undefined)
    throw new NotFound(say`The film of part "${name(id)}" is gone from the shelf.`, say`Put it back on the shelf.`)
  const record = recordOf({
    job,
    part,
    film,
    piece,
    kitName: kit?.name ?? null,
    lot: check.arrived.find((a) => a.pieceId === part.pieceId)?.lot ?? null,
    findings: findings.filter((f) => f.partId === part.id),
    people,
    state: replayFit(log.events),
  })
  return { record, shop }
}
