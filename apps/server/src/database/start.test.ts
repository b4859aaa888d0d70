import { chmodSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { english } from '@truelay/words'
import { sql } from 'drizzle-orm'
import { afterEach, beforeEach, describe, expect, test } from 'vitest'
import { lockFolder } from './lockFolder.ts'
import { openDatabase } from './openDatabase.ts'
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
