import { isOffRoll, jobId, type KitCheck, lotsOf, type Part, type PartId, partId, replayFit } from '@truelay/contract'
import { name, say } from '@truelay/core/say'
import { wordsIn } from '@truelay/words'
import { Router } from 'express'
import type { Database } from '../database/openDatabase.ts'
import { readSheetLots } from '../cuts/queries.ts'
import { readFitLog } from '../fit/queries.ts'
import { readJob, readPart, readParts } from '../jobs/queries.ts'
import { NotFound, Refused } from '../reply/reply.ts'
import { readKitCheck } from '../kitCheck/queries.ts'
import { readFilms, readKits, readPieces } from '../shelf/queries.ts'
import { readPeople } from '../shop/people.ts'
import { readShop } from '../shop/queries.ts'
import { readFindings } from '../walkRound/queries.ts'
import { recordOf } from './recordOf.ts'
import { paperFaces } from './paper/faces.ts'
import { writeRecord, writeRecords } from './paper/writeRecord.ts'
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
    const words = wordsIn({ units: shop.units, unbroken: true })
    writeRecord({ record, shop, words, faces: await paperFaces(), photoFile: photos.fileOf }).pipe(res)
  })
  routes.get('/jobs/:jobId/record.pdf', async (req, res) => {
    const job = await readJob(database, jobId.parse(req.params.jobId))
    const parts = await readParts(database, job.id)
    const records = await Promise.all(parts.map((part) => readRecord(database, part.id)))
    const shop = await readShop(database)
    const begun = records.flatMap(({ record }) => (record.state === 'not begun' ? [] : [record]))
    if (begun.length === 0)
      throw new Refused({
        code: 'NOTHING_BEGUN',
        sentence: say`No part of job ${name(job.number)} has been begun: there is no record yet.`,
        fix: say`It writes itself while you fit.`,
      })
    res.type('application/pdf')
    res.setHeader('Content-Disposition', `inline; filename="record-${job.number}.pdf"`)
    const words = wordsIn({ units: shop.units, unbroken: true })
    writeRecords({ records: begun, job, shop, words, faces: await paperFaces(), photoFile: photos.fileOf }).pipe(res)
  })
  return routes
}

/** The lots of what may have been laid: of its sheet off the roll, else of its pieces in the box. Null where nobody noted one. */
async function lotOf(database: Database, part: Part, { arrived }: KitCheck): Promise<string | null> {
  const sheet = (await readSheetLots(database, [part.jobId])).get(part.id)
  if (sheet !== undefined && isOffRoll(part)) return sheet
  const counted = arrived.find((a) => a.pieceId === part.pieceId)
  return counted === undefined ? null : lotsOf(counted).join(' / ')
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
    lot: await lotOf(database, part, check),
    findings: findings.filter((f) => f.partId === part.id),
    people,
    state: replayFit(log.events),
  })
  return { record, shop }
}
