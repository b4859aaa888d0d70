import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { afterEach, beforeEach, expect, test } from 'vitest'
import { seedDemo } from '../seed/seedDemo.ts'
import { changeShop, readShop, saveShop } from '../shop/queries.ts'
import { type Database, openDatabase } from './openDatabase.ts'

const at = (path: string) => fileURLToPath(new URL(path, import.meta.url))
const open = () => openDatabase(folder, at('../../migrations'))
let folder: string
let database: Database
beforeEach(async () => {
  folder = mkdtempSync(join(tmpdir(), 'truelay-db-'))
  database = await open()
})
afterEach(async () => {
  await database.close()
  rmSync(folder, { recursive: true, force: true })
})
const seed = () => seedDemo(database, at('../../../../demo'), new Date('2030-05-01T12:00:00Z'))

test('an empty shop says so', async () => {
  await expect(readShop(database)).rejects.toThrow('holds no shop yet')
})

test('the demo is seeded once; a second start leaves everything as it is', async () => {
  expect(await seed()).toBe(true)
  await changeShop(database, { stockAlcoholPercent: 91 })
  await database.close()
  database = await open()
  expect(await seed()).toBe(false)
  expect((await readShop(database)).stockAlcoholPercent).toBe(91)
})

test('settings changed at the same time all count', async () => {
  await seed()
  await Promise.all([
    changeShop(database, { units: { length: 'in' } }),
    changeShop(database, { units: { volume: 'fl oz' } }),
    changeShop(database, { theme: 'bay' }),
  ])
  expect(await readShop(database)).toMatchObject({
    theme: 'bay',
    units: { length: 'in', temperature: 'C', volume: 'fl oz' },
  })
})

test('a write that fails does not hold up those after it', async () => {
  await seed()
  const failing = database.write(async () => {
    throw new Error('no')
  })
  const after = saveShop(database, { ...(await readShop(database)), name: 'Renamed' })
  await expect(failing).rejects.toThrow('no')
  await after
  expect((await readShop(database)).name).toBe('Renamed')
})
