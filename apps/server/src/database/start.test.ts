import {
  chmodSync,
  cpSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  writeFileSync,
} from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { createClient } from '@libsql/client'
import { english } from '@truelay/words'
import { sql } from 'drizzle-orm'
import { readMigrationFiles } from 'drizzle-orm/migrator'
import { afterEach, beforeEach, describe, expect, test } from 'vitest'
import { lockFolder } from './lockFolder.ts'
import { openDatabase } from './openDatabase.ts'
import { refuseBackwardClock } from './refuseBackwardClock.ts'
import { StartTrouble, startTroubleOf } from './startTrouble.ts'

const migrations = fileURLToPath(new URL('../../migrations', import.meta.url))
let folder: string
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'truelay-start-'))
})
afterEach(() => {
  chmodSync(folder, 0o700)
  rmSync(folder, { recursive: true, force: true })
})

/** What somebody reads who starts the server there. */
async function told(start: () => Promise<unknown>): Promise<string> {
  const error = await start().then(
    () => null,
    (problem: unknown) => problem,
  )
  const trouble = startTroubleOf(error, folder)
  return trouble === null ? `not foreseen: ${error}` : `${english(trouble.sentence)} ${english(trouble.fix)}`
}

describe('a folder belongs to one server', () => {
  test('a second one is told so, and finds it free once the first has ended', async () => {
    const first = await lockFolder(folder)
    expect(await told(() => lockFolder(folder))).toMatch(/Another True Lay server works in .* end it first/)
    first.release()
    const second = await lockFolder(folder)
    second.release()
  })
})

describe('trouble at the start is told in a sentence with what to do', () => {
  test('a damaged file, which stays as it is', async () => {
    const file = join(folder, 'truelay.sqlite')
    writeFileSync(file, 'this is no database, but it is long enough to be looked at as one'.repeat(20))
    const before = readFileSync(file)
    expect(await told(() => openDatabase(folder, migrations))).toMatch(/is damaged\. Nothing was changed/)
    expect(readFileSync(file)).toEqual(before)
  })
  test('a database of a newer version', async () => {
    const database = await openDatabase(folder, migrations)
    await database.write((db) => db.run(sql`insert into __drizzle_migrations (hash, created_at) values ('later', 1)`))
    await database.close()
    expect(await told(() => openDatabase(folder, migrations))).toMatch(/newer version of True Lay\. Start that version/)
  })
  test('a file where the folder should be', async () => {
    const file = join(folder, 'shop')
    writeFileSync(file, '')
    expect(await told(() => openDatabase(file, migrations))).toMatch(/is a file and no folder/)
    expect(await told(() => openDatabase(join(file, 'inner'), migrations))).toMatch(/is a file and no folder/)
  })
  test.each([
    ['SQLITE_FULL', /no room left on the disk/],
    ['ENOSPC', /no room left on the disk/],
    ['SQLITE_READONLY_DBMOVED', /Nothing can be written in/],
    ['EACCES', /Nothing can be written in/],
  ])('%s, also where it is the cause of another', (code, words) => {
    const cause = Object.assign(new Error('inner'), { code })
    for (const error of [cause, new Error('outer', { cause })]) {
      const trouble = startTroubleOf(error, '/shop')
      expect(trouble === null ? '' : english(trouble.sentence)).toMatch(words)
    }
  })
  test('what nobody has foreseen is not called by another name', () => {
    expect(startTroubleOf(new Error('odd'), '/shop')).toBeNull()
    expect(startTroubleOf('odd', '/shop')).toBeNull()
    expect(startTroubleOf(new StartTrouble({ text: 'x', with: [] }, { text: 'y', with: [] }), '/shop')).not.toBeNull()
  })
})

describe('before a database is brought up to date', () => {
  const copies = () => (existsSync(join(folder, 'backups')) ? readdirSync(join(folder, 'backups')) : [])
  /** Of the version before this one: without the latest migration. */
  function olderMigrations(): string {
    const older = join(folder, 'older')
    cpSync(migrations, older, { recursive: true })
    const journal = join(older, 'meta/_journal.json')
    const all = JSON.parse(readFileSync(journal, 'utf8'))
    writeFileSync(journal, JSON.stringify({ ...all, entries: all.entries.slice(0, -1) }))
    return older
  }
  test('a copy of it is kept as it was; a new one and one that is up to date are not copied', async () => {
    await (await openDatabase(folder, olderMigrations())).close()
    expect(copies()).toEqual([])
    await (await openDatabase(folder, migrations)).close()
    expect(copies()).toEqual([expect.stringMatching(/^before-upgrade-\d{8}-\d{6}\.sqlite$/)])
    const before = createClient({ url: `file:${join(folder, 'backups', copies()[0] ?? '')}` })
    const applied = await before.execute('select count(*) as n from __drizzle_migrations')
    before.close()
    expect(applied.rows[0]?.n).toBe(readMigrationFiles({ migrationsFolder: migrations }).length - 1)
    // Copies are called by the second: one more in this second would take the place of the first.
    rmSync(join(folder, 'backups'), { recursive: true })
    await (await openDatabase(folder, migrations)).close()
    expect(copies()).toEqual([])
  })
  test('beside what lies there already; of such copies the five latest are kept, and nothing else is touched', async () => {
    await (await openDatabase(folder, olderMigrations())).close()
    const earlier = [1, 2, 3, 4, 5, 6].map((day) => `before-upgrade-2020010${day}-120000.sqlite`)
    mkdirSync(join(folder, 'backups'))
    for (const name of [...earlier, 'truelay-20200101.zip']) writeFileSync(join(folder, 'backups', name), name)
    await (await openDatabase(folder, migrations)).close()
    expect(copies().toSorted()).toEqual([
      ...earlier.slice(-4),
      expect.stringMatching(/^before-upgrade-(?!2020)\d{8}-\d{6}\.sqlite$/),
      'truelay-20200101.zip',
    ])
  })
})

test('a database that is closed lies in one file', async () => {
  const database = await openDatabase(folder, migrations)
  await database.write((db) => db.run(sql`insert into writes values ('a', 'h', 200, '{}', '2030-05-01T12:00:00.000Z')`))
  await database.close()
  cpSync(join(folder, 'truelay.sqlite'), join(folder, 'copy/truelay.sqlite'))
  const copy = await openDatabase(join(folder, 'copy'), migrations)
  expect(await copy.read.all(sql`select id from writes`)).toEqual([{ id: 'a' }])
  await copy.close()
})

describe('a clock that is far back', () => {
  const at = (day: string) => new Date(`${day}T12:00:00Z`)
  test('is told with both days; a day or two is what clocks do', async () => {
    const database = await openDatabase(folder, migrations)
    await refuseBackwardClock(database, at('2001-01-01'))
    await database.write((db) =>
      db.run(sql`insert into writes values ('a', 'h', 200, '{}', '2030-05-01T12:00:00.000Z')`),
    )
    await refuseBackwardClock(database, at('2030-04-30'))
    expect(await told(() => refuseBackwardClock(database, at('2026-01-01')))).toMatch(
      /says 2026-01-01, but the shop was last written to on 2030-05-01\. Set the clock right/,
    )
    await database.close()
  })
})
