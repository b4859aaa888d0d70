import { newRoll, rollDoc, rollId, rollNote } from '@truelay/contract'
import { name, say } from '@truelay/core/say'
import { Router } from 'express'
import type { Database } from '../database/openDatabase.ts'
import { Refused } from '../reply/reply.ts'
import { asOneWrite } from '../writes/asOneWrite.ts'
import { noteOnRoll } from './noteOnRoll.ts'
import { addRoll, saveRoll } from './queries.ts'

export function stockRoutes(database: Database, now: () => Date): Router {
  const routes = Router()
  routes.post(
    '/stock/rolls',
    asOneWrite(database, now, (within, req) => addRoll(within, newRoll.parse(req.body)), { status: 201 }),
  )
  routes.put(
    '/stock/rolls/:rollId',
    asOneWrite(database, now, (within, req) => {
      const roll = rollDoc.parse(req.body)
      const address = rollId.parse(req.params.rollId)
      if (roll.id !== address)
        throw new Refused({
          code: 'OTHER_ROLL',
          sentence: say`The roll "${name(roll.id)}" was sent to the address of "${name(address)}".`,
          fix: say`Save each roll under its own id.`,
        })
      return saveRoll(within, roll)
    }),
  )
  routes.post(
    '/stock/rolls/:rollId/lines',
    asOneWrite(database, now, (within, req) =>
      noteOnRoll(within, rollId.parse(req.params.rollId), rollNote.parse(req.body)),
    ),
  )
  return routes
}
