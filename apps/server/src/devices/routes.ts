import { deviceAddresses, deviceKind, enteredRoom } from '@truelay/contract'
import { Router } from 'express'
import type { Database } from '../database/openDatabase.ts'
import { enterRoom, readDevice, readDevices, readRoom, saveDevices } from './queries.ts'

export function deviceRoutes(database: Database, now: () => Date): Router {
  const routes = Router()
  routes.get('/devices', async (_req, res) => {
    res.json(await readDevices(database))
  })
  routes.put('/devices', async (req, res) => {
    res.json(await saveDevices(database, deviceAddresses.parse(req.body)))
  })
  routes.get('/devices/:kind/reading', async (req, res) => {
    res.json(await readDevice(database, deviceKind.parse(req.params.kind), now()))
  })
  routes.get('/room', async (_req, res) => {
    res.json(await readRoom(database, now()))
  })
  routes.post('/room', async (req, res) => {
    await enterRoom(database, enteredRoom.parse(req.body), now())
    res.json(await readRoom(database, now()))
  })
  return routes
}
