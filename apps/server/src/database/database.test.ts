import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { afterEach, beforeEach, expect, test } from 'vitest'
import { seedDemo } from '../seed/seedDemo.ts'
import { changeShop, readShop, saveShop } from '../shop/queries.ts'
import { sql } from 'drizzle-orm'
import { readAllFilms } from '../shelf/queries.ts'
import { type Database, openDatabase } from './openDatabase.ts'
import { StoredFault } from './stored.ts'

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

test('one document that cannot be read is named, and does not hide the others', async () => {
  await seed()
  const reported: StoredFault[] = []
  await database.write((db) =>
    db.run(sql`update films set document = '{"v":1,"doc":{"id":7}}' where id = 'dusk-glass-dry'`),
  )
  await database.close()
  database = await openDatabase(folder, at('../../migrations'), (fault) => reported.push(fault))
  const films = await readAllFilms(database)
  expect(films.length).toBeGreaterThan(2)
  expect(films.map((f) => f.id)).not.toContain('dusk-glass-dry')
  expect(reported.map((fault) => [fault.kind, fault.id])).toContainEqual(['film', 'dusk-glass-dry'])
})

test('a document of a newer version is refused as such, not guessed at', async () => {
  await seed()
  await database.write((db) => db.run(sql`update shops set settings = '{"v":99,"doc":{}}'`))
  await expect(readShop(database)).rejects.toThrow(StoredFault)
})
