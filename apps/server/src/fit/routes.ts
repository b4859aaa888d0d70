import { fitEvents, missingEvents, partId } from '@truelay/contract'
import { name, say } from '@truelay/core/say'
import { Router } from 'express'
import type { Database } from '../database/openDatabase.ts'
import { readPart } from '../jobs/queries.ts'
import { Refused } from '../reply/reply.ts'
import { readPeople } from '../shop/people.ts'
import { addFitEvents, type FitFollower } from './addFitEvents.ts'
import { readFitLog, unknownEvents } from './queries.ts'
import { asOneWrite } from '../writes/asOneWrite.ts'

export function fitRoutes(database: Database, now: () => Date, followers: readonly FitFollower[]): Router {
  const routes = Router()
  routes.get('/parts/:partId/fit', async (req, res) => {
    const id = partId.parse(req.params.partId)
    await readPart(database, id)
    res.json(await readFitLog(database, id))
  })
  // Asks and changes nothing: what a tablet has sent and a server that was set back does not know any more.
  routes.post('/fits/missing', async (req, res) => {
    const { ids } = missingEvents.parse(req.body)
    res.json({ ids: await unknownEvents(database, ids) })
  })
  routes.post(
    '/parts/:partId/fit',
    asOneWrite(database, now, async (within, req) => {
      const id = partId.parse(req.params.partId)
      await readPart(within, id)
      const events = fitEvents.parse(req.body)
      const people = new Map<string, string>((await readPeople(within)).map((p) => [p.id, p.name]))
      for (const event of events) {
        if (event.partId !== id)
          throw new Refused({
            code: 'OTHER_PART',
            sentence: say`An event of part "${name(event.partId)}" was sent to part "${name(id)}".`,
            fix: say`Send each event to its own part.`,
          })
        if (!people.has(event.personId))
          throw new Refused({
            code: 'UNKNOWN_PERSON',
            sentence: say`Nobody here is called "${name(event.personId)}".`,
            fix: say`Choose a person of the shop.`,
          })
      }
      return addFitEvents(within, id, events, now().toISOString(), (id) => people.get(id) ?? id, followers)
    }),
  )
  return routes
}
