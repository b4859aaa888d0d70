import { filmDoc, filmId, kitDoc, kitId, modelId, pieceDoc, pieceId } from '@truelay/contract'
import { name, say } from '@truelay/core/say'
import { eq } from 'drizzle-orm'
import { Router } from 'express'
import type { Database } from '../database/openDatabase.ts'
import { toStored } from '../database/stored.ts'
import { readModel } from '../models/queries.ts'
import { NotFound, Refused } from '../reply/reply.ts'
import { readAllFilms, readAllKits, readFilms, readKits, readPiecesOfKits } from './queries.ts'
import { films, kits, pieces } from './table.ts'

export function shelfRoutes(database: Database): Router {
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
  routes.put('/kits/:kitId', async (req, res) => {
    const document = kitDoc.parse(req.body)
    ownAddress('kit', document.id, kitId.parse(req.params.kitId))
    await readModel(database, modelId.parse(document.modelId))
    const stored = { document: toStored('kit', document) }
    await database.write((db) =>
      db
        .insert(kits)
        .values({ id: document.id, ...stored })
        .onConflictDoUpdate({ target: kits.id, set: stored }),
    )
    res.json(document)
  })
  routes.put('/films/:filmId', async (req, res) => {
    const document = filmDoc.parse(req.body)
    ownAddress('film', document.id, filmId.parse(req.params.filmId))
    if ((await readFilms(database, [document.id])).length === 0)
      throw new NotFound(say`There is no film "${name(document.id)}".`, say`Choose one of the shelf.`)
    const stored = { document: toStored('film', document) }
    await database.write((db) => db.update(films).set(stored).where(eq(films.id, document.id)))
    res.json(document)
  })
  routes.put('/pieces/:pieceId', async (req, res) => {
    const document = pieceDoc.parse(req.body)
    ownAddress('piece', document.id, pieceId.parse(req.params.pieceId))
    if ((await readKits(database, [document.kitId])).length === 0)
      throw new NotFound(say`There is no kit "${name(document.kitId)}".`, say`Put the piece into a kit of the shelf.`)
    const stored = { kitId: document.kitId, document: toStored('piece', document) }
    await database.write((db) =>
      db
        .insert(pieces)
        .values({ id: document.id, ...stored })
        .onConflictDoUpdate({ target: pieces.id, set: stored }),
    )
    res.json(document)
  })
  return routes
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
