import { deviceAddresses, deviceKind, enteredRoom } from '@truelay/contract'
import { Router } from 'express'
import type { Database } from '../database/openDatabase.ts'
import { enterRoom, readDevice, readDevices, readRoom, saveDevices } from './queries.ts'
import { asOneWrite } from '../writes/asOneWrite.ts'

export function deviceRoutes(database: Database, now: () => Date): Router {
  const routes = Router()
  routes.get('/devices', async (_req, res) => {
    res.json(await readDevices(database))
  })
  routes.put(
    '/devices',
    asOneWrite(database, now, (within, req) => saveDevices(within, deviceAddresses.parse(req.body))),
  )
  routes.get('/devices/:kind/reading', async (req, res) => {
    res.json(await readDevice(database, deviceKind.parse(req.params.kind), now()))
  })
  routes.get('/room', async (_req, res) => {
    res.json(await readRoom(database, now()))
  })
  routes.post(
    '/room',
    asOneWrite(database, now, (within, req) => enterRoom(within, enteredRoom.parse(req.body), now()), {
      // The sensor is asked, and may take its time.
      answer: () => readRoom(database, now()),
    }),
  )
  return routes
}
