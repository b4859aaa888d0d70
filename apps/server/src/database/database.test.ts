import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { afterEach, beforeEach, expect, test } from 'vitest'
import { seedDemo } from '../seed/seedDemo.ts'
import { changeShop, readShop, saveShop } from '../shop/queries.ts'
import { sql } from 'drizzle-orm'
import { readAllFilms } from '../shelf/queries.ts'
import { type OpenDatabase, openDatabase } from './openDatabase.ts'
import { StoredFault } from './stored.ts'

const at = (path: string) => fileURLToPath(new URL(path, import.meta.url))
const open = () => openDatabase(folder, at('../../migrations'))
let folder: string
let database: OpenDatabase
beforeEach(async () => {
  folder = mkdtempSync(join(tmpdir(), 'truelay-db-'))
  database = await open()
})
afterEach(async () => {
  await database.close()
  rmSync(folder, { recursive: true, force: true })
})
const seedAs = (opened: OpenDatabase) => seedDemo(opened, at('../../../../demo'), new Date('2030-05-01T12:00:00Z'))
const seed = () => seedAs(database)

/** How many statements some work does on an empty shop. */
async function countStatements(work: (opened: OpenDatabase) => Promise<void>): Promise<number> {
  let statements = 0
  const opened = await openDatabase(mkdtempSync(join(folder, 'count-')), at('../../migrations'), {
    onStatement: () => {
      statements++
    },
  })
  statements = 0
  await work(opened)
  await opened.close()
  return statements
}

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

test('a write that fails half-way leaves nothing, and what follows sees nothing of it', async () => {
  await seed()
  const failing = database.write(async (_, within) => {
    await changeShop(within, { stockAlcoholPercent: 91 })
    expect((await readShop(within)).stockAlcoholPercent).toBe(91)
    expect((await readShop(database)).stockAlcoholPercent).toBe(70)
    throw new Error('power cut')
  })
  await expect(failing).rejects.toThrow('power cut')
  expect((await readShop(database)).stockAlcoholPercent).toBe(70)
})

test('a first start that is cut off at any statement begins again', async () => {
  const statements = await countStatements(async (opened) => void (await seedAs(opened)))
  expect(statements).toBeGreaterThan(100)
  // Every statement would take minutes: the first ones, the last ones and every 25th between.
  const cuts = Array.from({ length: statements }, (_, i) => i + 1).filter(
    (n) => n < 4 || n > statements - 4 || n % 25 === 0,
  )
  let left = Number.POSITIVE_INFINITY
  const opened = await openDatabase(mkdtempSync(join(folder, 'cut-')), at('../../migrations'), {
    onStatement: () => {
      if (left-- <= 0) throw new Error('power cut')
    },
  })
  for (const n of cuts) {
    left = n - 1
    await expect(seedAs(opened)).rejects.toThrow()
    left = Number.POSITIVE_INFINITY
    await expect(readShop(opened)).rejects.toThrow('holds no shop yet')
    expect(await readAllFilms(opened)).toEqual([])
  }
  expect(await seedAs(opened)).toBe(true)
  expect((await readShop(opened)).name).toBe('Quayside Film Works')
  await opened.close()
})

test('one document that cannot be read is named, and does not hide the others', async () => {
  await seed()
  const reported: StoredFault[] = []
  await database.write((db) =>
    db.run(sql`update films set document = '{"v":1,"doc":{"id":7}}' where id = 'dusk-glass-dry'`),
  )
  await database.close()
  database = await openDatabase(folder, at('../../migrations'), { report: (fault) => reported.push(fault) })
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
