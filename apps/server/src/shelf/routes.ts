import {
  filmDoc,
  filmId,
  kitDoc,
  kitId,
  modelId,
  newFilm,
  type Piece,
  pieceDoc,
  pieceId,
  wholeKit,
} from '@truelay/contract'
import { name, say } from '@truelay/core/say'
import { Router } from 'express'
import type { Database } from '../database/openDatabase.ts'
import { readModel } from '../models/queries.ts'
import { NotFound, Refused } from '../reply/reply.ts'
import { addFilm } from './addFilm.ts'
import {
  readAllFilms,
  readAllKits,
  readFilms,
  readKits,
  readPiecesOfKits,
  saveFilm,
  saveKit,
  savePieceDoc,
} from './queries.ts'
import { asOneWrite } from '../writes/asOneWrite.ts'

export function shelfRoutes(database: Database, now: () => Date): Router {
  const routes = Router()
  routes.get('/shelf', async (_req, res) => {
    const [allFilms, kits] = await Promise.all([readAllFilms(database), readAllKits(database)])
    res.json({
      films: allFilms,
      kits,
      pieces: await readPiecesOfKits(
        database,
        kits.map((k) => k.id),
      ),
    })
  })
  routes.put(
    '/kits/:kitId',
    asOneWrite(database, now, async (within, req) => {
      const document = kitDoc.parse(req.body)
      ownAddress('kit', document.id, kitId.parse(req.params.kitId))
      await readModel(within, modelId.parse(document.modelId))
      return saveKit(within, document)
    }),
  )
  routes.put(
    '/kits/:kitId/whole',
    asOneWrite(database, now, async (within, req) => {
      const { kit, pieces } = wholeKit.parse(req.body)
      ownAddress('kit', kit.id, kitId.parse(req.params.kitId))
      await readModel(within, modelId.parse(kit.modelId))
      return { kit: await saveKit(within, kit), pieces: await saveEach(within, pieces) }
    }),
  )
  routes.post(
    '/films',
    asOneWrite(database, now, (within, req) => addFilm(within, newFilm.parse(req.body)), { status: 201 }),
  )
  routes.put(
    '/films/:filmId',
    asOneWrite(database, now, async (within, req) => {
      const document = filmDoc.parse(req.body)
      ownAddress('film', document.id, filmId.parse(req.params.filmId))
      if ((await readFilms(within, [document.id])).length === 0)
        throw new NotFound(say`There is no film "${name(document.id)}".`, say`Choose one of the shelf.`)
      return saveFilm(within, document)
    }),
  )
  routes.put(
    '/pieces/:pieceId',
    asOneWrite(database, now, async (within, req) => {
      const document = pieceDoc.parse(req.body)
      ownAddress('piece', document.id, pieceId.parse(req.params.pieceId))
      if ((await readKits(within, [document.kitId])).length === 0)
        throw new NotFound(say`There is no kit "${name(document.kitId)}".`, say`Put the piece into a kit of the shelf.`)
      return savePieceDoc(within, document)
    }),
  )
  return routes
}

async function saveEach(database: Database, pieces: readonly Piece[]): Promise<Piece[]> {
  const saved: Piece[] = []
  for (const piece of pieces) saved.push(await savePieceDoc(database, piece))
  return saved
}

/** Refuses a document that was sent to the address of another. */
function ownAddress(what: 'kit' | 'film' | 'piece', sent: string, address: string): void {
  if (sent === address) return
  throw new Refused({
    code: `OTHER_${what.toUpperCase()}`,
    sentence: say`The ${name(what)} "${name(sent)}" was sent to the address of "${name(address)}".`,
    fix: say`Save each ${name(what)} under its own id.`,
  })
}
