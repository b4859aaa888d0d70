import {
  type DeviceAddresses,
  type DeviceKind,
  type DeviceReading,
  deviceKinds,
  type EnteredRoom,
  type RoomNow,
  unconnected,
} from '@truelay/contract'
import { desc, eq } from 'drizzle-orm'
import type { z } from 'zod'
import type { Database } from '../database/openDatabase.ts'
import { readEachStored, readStored, toStored } from '../database/stored.ts'
import { askDevice } from './askDevice.ts'
import { readingOf } from './health.ts'
import { deviceRows, roomRows } from './table.ts'

const theDevices = 'devices'

export async function readDevices({ read }: Database): Promise<DeviceAddresses> {
  const [row] = await read.select().from(deviceRows).where(eq(deviceRows.id, theDevices))
  return row === undefined ? unconnected : readStored('devices', row.id, row.document)
}

export const saveDevices = (database: Database, addresses: DeviceAddresses): Promise<DeviceAddresses> =>
  database.write(async (db) => {
    const document = toStored('devices', addresses)
    await db
      .insert(deviceRows)
      .values({ id: theDevices, document })
      .onConflictDoUpdate({ target: deviceRows.id, set: { document } })
    return addresses
  })

/** Asks a device, whatever kind it is. */
export async function readDevice<K extends DeviceKind>(
  database: Database,
  kind: K,
  now: Date,
): Promise<DeviceReading<K>> {
  const address = (await readDevices(database))[kind]
  const answer: z.ZodType = deviceKinds[kind].answer
  return readingOf(kind, address === null ? null : await askDevice(address, answer), now)
}

export const enterRoom = (database: Database, room: EnteredRoom, now: Date): Promise<EnteredRoom> =>
  database.write(async (db) => {
    await db.insert(roomRows).values({ at: now.toISOString(), document: toStored('room', room) })
    return room
  })

/** The air now: what the sensor says while it is fresh, else what was entered last; with how the sensor is doing. */
export async function readRoom(database: Database, now: Date): Promise<RoomNow> {
  const [sensor, [row]] = await Promise.all([
    readDevice(database, 'room', now),
    database.read.select().from(roomRows).orderBy(desc(roomRows.place)).limit(1),
  ])
  if (sensor.state === 'fresh' && sensor.value !== null && sensor.at !== null)
    return { now: { ...sensor.value, at: sensor.at, source: 'sensor' }, sensor }
  const [entered] =
    row === undefined ? [] : readEachStored(database, 'room', [{ id: String(row.place), document: row.document }])
  return {
    now: row === undefined || entered === undefined ? null : { ...entered, at: row.at, source: 'entered' },
    sensor,
  }
}
