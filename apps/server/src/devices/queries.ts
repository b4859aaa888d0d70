import {
  type Devices,
  devices,
  type EnteredRoom,
  type ForecastNow,
  forecastAnswer,
  type InfraredNow,
  infraredAnswer,
  type RoomNow,
  roomAnswer,
} from '@truelay/contract'
import { desc, eq } from 'drizzle-orm'
import type { Database } from '../database/openDatabase.ts'
import { askDevice } from './askDevice.ts'
import { forecastHealth, infraredHealth, roomHealth } from './health.ts'
import { deviceRows, roomRows } from './table.ts'

const theDevices = 'devices'
const unconnected: Devices = { room: null, infrared: null, forecast: null }

export async function readDevices({ read }: Database): Promise<Devices> {
  const [row] = await read.select().from(deviceRows).where(eq(deviceRows.id, theDevices))
  return row === undefined ? unconnected : devices.parse(row.addresses)
}

export const saveDevices = (database: Database, addresses: Devices): Promise<Devices> =>
  database.write(async (db) => {
    await db
      .insert(deviceRows)
      .values({ id: theDevices, addresses })
      .onConflictDoUpdate({ target: deviceRows.id, set: { addresses } })
    return addresses
  })

export const enterRoom = (database: Database, room: EnteredRoom, now: Date) =>
  database.write((db) => db.insert(roomRows).values({ at: now.toISOString(), room }))

/** The air now: what the sensor says while it is fresh, else what was entered last; with how the sensor is doing. */
export async function readRoom(database: Database, now: Date): Promise<RoomNow> {
  const { room: address } = await readDevices(database)
  const [asked, [entered]] = await Promise.all([
    address === null ? null : askDevice(address, roomAnswer),
    database.read.select().from(roomRows).orderBy(desc(roomRows.place)).limit(1),
  ])
  const sensor = roomHealth(asked, now)
  if (sensor.state === 'fresh' && sensor.value !== null && sensor.at !== null)
    return { now: { ...sensor.value, at: sensor.at, source: 'sensor' }, sensor }
  return { now: entered === undefined ? null : { ...entered.room, at: entered.at, source: 'entered' }, sensor }
}

export async function readInfrared(database: Database, now: Date): Promise<InfraredNow> {
  const { infrared } = await readDevices(database)
  return infraredHealth(infrared === null ? null : await askDevice(infrared, infraredAnswer), now)
}

export async function readForecast(database: Database, now: Date): Promise<ForecastNow> {
  const { forecast } = await readDevices(database)
  return forecastHealth(forecast === null ? null : await askDevice(forecast, forecastAnswer), now)
}
