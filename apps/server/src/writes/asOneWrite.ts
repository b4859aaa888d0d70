import { createHash } from 'node:crypto'
import { writeIdHeader } from '@truelay/contract'
import { say } from '@truelay/core/say'
import { subDays } from 'date-fns'
import { eq, lt } from 'drizzle-orm'
import type { Request, RequestHandler } from 'express'
import { z } from 'zod'
import { noteChange } from '../audit/changes.ts'
import type { Database } from '../database/openDatabase.ts'
import { Refused } from '../reply/reply.ts'
import { writeRows } from './table.ts'

/** Tablets send again what was not answered; longer than this none of them keeps it. */
const keptDays = 14

interface OneWriteOptions {
  /** Of the answer. */
  readonly status?: number
  /** What is answered where that cannot be said within the write, as it asks others. */
  readonly answer?: (req: Request) => Promise<unknown>
}

/**
 * The handler of a route that writes. All that it reads and writes is one transaction. Each write carries an id that its sender made, bound to
 * what was sent: the same again gets the same answer and is not done twice; something else under that id is refused.
 */
export const asOneWrite =
  (
    database: Database,
    now: () => Date,
    work: (within: Database, req: Request) => Promise<unknown>,
    { status = 200, answer }: OneWriteOptions = {},
  ): RequestHandler =>
  async (req, res) => {
    const id = writeIdOf(req)
    const hash = createHash('sha256')
      .update(JSON.stringify([req.method, req.originalUrl, req.body ?? null]))
      .digest('hex')
    const given = await database.write(async (db, within) => {
      const [before] = await db.select().from(writeRows).where(eq(writeRows.id, id))
      if (before !== undefined && before.hash !== hash) throw otherUnderThatId()
      if (before !== undefined) return before
      const done = { id, hash, status, answer: (await work(within, req)) ?? null, at: now().toISOString() }
      await db.insert(writeRows).values(done)
      await noteChange(db, req, now())
      return done
    })
    res.status(given.status).json(answer === undefined ? given.answer : await answer(req))
  }

function writeIdOf(req: Request): string {
  const id = z.uuid().safeParse(req.get(writeIdHeader))
  if (id.success) return id.data
  throw new Refused({
    code: 'WRITE_WITHOUT_ID',
    sentence: say`A write needs an id of its own, so that it is never done twice.`,
    fix: say`Send a new UUID as the header "X-Write-Id", and the same one when the same is sent again; nothing was changed.`,
  })
}

const otherUnderThatId = () =>
  new Refused({
    code: 'WRITE_ID_TAKEN',
    sentence: say`Something else was sent under the id of this write before.`,
    fix: say`Send it under a new id; nothing was changed.`,
  })

/** Forgets answers that nobody will ask for again. */
export const forgetOldWrites = (database: Database, now: Date): Promise<unknown> =>
  database.write((db) => db.delete(writeRows).where(lt(writeRows.at, subDays(now, keptDays).toISOString())))
