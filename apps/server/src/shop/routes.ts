import { newPerson, personChange, personId, shopChange } from '@truelay/contract'
import { Router } from 'express'
import type { Database } from '../database/openDatabase.ts'
import { asOneWrite } from '../writes/asOneWrite.ts'
import { addPerson, changePerson, readPeople } from './people.ts'
import { changeShop, readShop } from './queries.ts'

export function shopRoutes(database: Database, now: () => Date): Router {
  const routes = Router()
  routes.get('/shop', async (_req, res) => {
    res.json(await readShop(database))
  })
  routes.patch(
    '/shop',
    asOneWrite(database, now, (within, req) => changeShop(within, shopChange.parse(req.body))),
  )
  routes.get('/people', async (_req, res) => {
    res.json(await readPeople(database))
  })
  routes.post(
    '/people',
    asOneWrite(database, now, (within, req) => addPerson(within, newPerson.parse(req.body)), { status: 201 }),
  )
  routes.patch(
    '/people/:personId',
    asOneWrite(database, now, (within, req) =>
      changePerson(within, personId.parse(req.params.personId), personChange.parse(req.body)),
    ),
  )
  return routes
}
