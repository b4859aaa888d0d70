import { filmDoc, filmId, kitDoc, kitId, modelId, partId, pieceDoc, pieceId } from '@truelay/contract'
import { eq } from 'drizzle-orm'
import { Router } from 'express'
import { z } from 'zod'
import type { Database } from '../database/openDatabase.ts'
import { readPart } from '../jobs/queries.ts'
import { parts } from '../jobs/table.ts'
import { readModel } from '../models/queries.ts'
import { NotFound, Refused } from '../reply/reply.ts'
import { readAllFilms, readAllKits, readFilms, readKits, readPieces, readPiecesOfKits } from './queries.ts'
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
    await database.write((db) =>
      db.insert(kits).values({ id: document.id, document }).onConflictDoUpdate({ target: kits.id, set: { document } }),
    )
    res.json(document)
  })
  routes.put('/films/:filmId', async (req, res) => {
    const document = filmDoc.parse(req.body)
    ownAddress('film', document.id, filmId.parse(req.params.filmId))
    if ((await readFilms(database, [document.id])).length === 0)
      throw new NotFound(`There is no film "${document.id}".`, 'Choose one of the shelf.')
    await database.write((db) => db.update(films).set({ document }).where(eq(films.id, document.id)))
    res.json(document)
  })
  routes.put('/pieces/:pieceId', async (req, res) => {
    const document = pieceDoc.parse(req.body)
    ownAddress('piece', document.id, pieceId.parse(req.params.pieceId))
    if ((await readKits(database, [document.kitId])).length === 0)
      throw new NotFound(`There is no kit "${document.kitId}".`, 'Put the piece into a kit of the shelf.')
    await database.write((db) =>
      db
        .insert(pieces)
        .values({ id: document.id, kitId: document.kitId, document })
        .onConflictDoUpdate({ target: pieces.id, set: { kitId: document.kitId, document } }),
    )
    res.json(document)
  })
  routes.put('/parts/:partId/piece', async (req, res) => {
    const part = await readPart(database, partId.parse(req.params.partId))
    const { pieceId: id } = z.strictObject({ pieceId: pieceId.nullable() }).parse(req.body)
    if (id !== null && (await readPieces(database, [id])).length === 0)
      throw new NotFound(`There is no piece "${id}".`, 'Choose one of the shelf.')
    await database.write((db) => db.update(parts).set({ pieceId: id }).where(eq(parts.id, part.id)))
    res.json(await readPart(database, part.id))
  })
  return routes
}

/** Refuses a document that was sent to the address of another. */
function ownAddress(what: 'kit' | 'film' | 'piece', sent: string, address: string): void {
  if (sent === address) return
  throw new Refused({
    code: `OTHER_${what.toUpperCase()}`,
    sentence: `The ${what} "${sent}" was sent to the address of "${address}".`,
    fix: `Save each ${what} under its own id.`,
  })
}
