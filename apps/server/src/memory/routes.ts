import { factsBorrowed, toForgetFacts } from '@truelay/contract'
import { name, say } from '@truelay/core/say'
import { and, eq } from 'drizzle-orm'
import { Router } from 'express'
import { randomUUID } from 'node:crypto'
import { z } from 'zod'
import type { Database } from '../database/openDatabase.ts'
import { toStored } from '../database/stored.ts'
import { NotFound } from '../reply/reply.ts'
import { asOneWrite } from '../writes/asOneWrite.ts'
import { readFacts } from './readFacts.ts'
import { borrowedRows, forgottenRows } from './table.ts'

export function memoryRoutes(database: Database, now: () => Date): Router {
  const routes = Router()
  routes.get('/memory', async (_req, res) => {
    res.json(await readFacts(database))
  })
  routes.post(
    '/memory/borrowed',
    asOneWrite(
      database,
      now,
      async (within, req) => {
        const { says, facts } = factsBorrowed.parse(req.body)
        const file = { id: randomUUID(), says, broughtAt: now().toISOString() }
        await within.write((db) =>
          db.insert(borrowedRows).values({ ...file, document: toStored('factsFile', { facts }) }),
        )
        return { id: file.id }
      },
      { status: 201 },
    ),
  )
  routes.delete(
    '/memory/borrowed/:file',
    asOneWrite(database, now, async (within, req) => {
      const id = z.uuid().parse(req.params.file)
      const gone = await within.write((db) => db.delete(borrowedRows).where(eq(borrowedRows.id, id)).returning())
      if (gone.length === 0)
        throw new NotFound(
          say`Nothing was brought in as "${name(id)}".`,
          say`Look what there is: it may be forgotten already.`,
        )
      return { forgotten: true }
    }),
  )
  routes.put(
    '/memory/forgotten',
    asOneWrite(database, now, async (within, req) => {
      const { modelId, slot, forgotten } = toForgetFacts.parse(req.body)
      const at = now().toISOString()
      await within.write(async (db) => {
        await db.delete(forgottenRows).where(and(eq(forgottenRows.modelId, modelId), eq(forgottenRows.slot, slot)))
        if (forgotten) await db.insert(forgottenRows).values({ modelId, slot, at })
      })
      return { forgotten }
    }),
  )
  return routes
}
