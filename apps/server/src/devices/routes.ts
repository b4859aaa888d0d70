import { devices, enteredRoom } from '@truelay/contract'
import { Router } from 'express'
import type { Database } from '../database/openDatabase.ts'
import { enterRoom, readDevices, readForecast, readInfrared, readRoom, saveDevices } from './queries.ts'

export function deviceRoutes(database: Database, now: () => Date): Router {
  const routes = Router()
  routes.get('/devices', async (_req, res) => {
    res.json(await readDevices(database))
  })
  routes.put('/devices', async (req, res) => {
    res.json(await saveDevices(database, devices.parse(req.body)))
  })
  routes.get('/room', async (_req, res) => {
    res.json(await readRoom(database, now()))
  })
  routes.post('/room', async (req, res) => {
    await enterRoom(database, enteredRoom.parse(req.body), now())
    res.json(await readRoom(database, now()))
  })
  routes.get('/infrared', async (_req, res) => {
    res.json(await readInfrared(database, now()))
  })
  routes.get('/forecast', async (_req, res) => {
    res.json(await readForecast(database, now()))
  })
  return routes
}
