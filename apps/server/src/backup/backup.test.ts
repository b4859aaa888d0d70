import { execFileSync } from 'node:child_process'
import { createHash } from 'node:crypto'
import {
  cpSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  truncateSync,
  writeFileSync,
} from 'node:fs'
import { tmpdir } from 'node:os'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { english } from '@truelay/words'
import { sql } from 'drizzle-orm'
import { build } from 'vite'
import { afterAll, beforeAll, beforeEach, describe, expect, test } from 'vitest'
import { lockFolder } from '../database/lockFolder.ts'
import { openDatabase } from '../database/openDatabase.ts'
import { StartTrouble } from '../database/startTrouble.ts'
import { DemoServer, noon } from '../testing/demoServer.ts'
import { readRoutes } from '../testing/readRoutes.ts'
import { sent, writeRoutes } from '../testing/writeRoutes.ts'
import { backupsIn, keepNightly } from './keptBackups.ts'
import { lifeOf } from './life.ts'
import { endRestore, restoreBackup } from './restoreBackup.ts'
import { writeBackup } from './writeBackup.ts'

const migrations = fileURLToPath(new URL('../../migrations', import.meta.url))
const space = mkdtempSync(join(tmpdir(), 'truelay-backup-'))
afterAll(() => rmSync(space, { recursive: true, force: true }))
let count = 0
const fresh = (name: string) => join(space, `${++count}-${name}`)

/** What somebody reads where it does not work. */
const told = (work: Promise<unknown>) =>
  work.then(
    () => 'it worked',
    (error: unknown) =>
      error instanceof StartTrouble ? `${english(error.sentence)} ${english(error.fix)}` : `not foreseen: ${error}`,
  )

/** Every answer of every route that reads, as bytes. */
async function answers(demo: DemoServer) {
  const addresses = await readRoutes(demo)
  return Object.fromEntries(
    await Promise.all(addresses.map(async (a) => [a, await (await fetch(demo.address(a))).text()] as const)),
  )
}

/** A shop in which something has happened. */
let demo: DemoServer
let backup: string
let photo: string
beforeAll(async () => {
  demo = await new DemoServer().start()
  for (const route of writeRoutes) await demo.send(route.method, `/api${route.path}`, sent(route, route.good))
  const jpeg = Buffer.from('ffd8ffc0000b080064009601011100ffda0008010100003f000707ffd9', 'hex')
  const headers = { 'content-type': 'image/jpeg' }
  const kept = await fetch(demo.address('/api/photos'), { method: 'POST', headers, body: jpeg })
  photo = (await kept.json()).id
  backup = fresh('all.zip')
  await writeBackup(demo.folder, backup, noon)
})
afterAll(() => demo.end())

describe('a backup', () => {
  test('brings back the same answers on every route that reads, byte for byte, and the photos', async () => {
    const before = await answers(demo)
    expect(Object.keys(before).length).toBeGreaterThan(30)
    const folder = fresh('shop')
    expect(await restoreBackup(backup, folder, migrations, noon)).toMatchObject({ note: { photos: 1 }, before: null })
    const again = await new DemoServer(folder).start()
    expect(await answers(again)).toEqual(before)
    const bytes = async (server: DemoServer) =>
      Buffer.from(await (await fetch(server.address(`/api/photos/${photo}`))).arrayBuffer())
    expect(
      createHash('sha256')
        .update(await bytes(again))
        .digest('hex'),
    ).toBe(photo)
    expect((await bytes(again)).equals(await bytes(demo))).toBe(true)
    await again.end()
  })
  test('is asked for by a button, lies in a list and can be taken away as a file', async () => {
    expect((await demo.get('/api/backups')).body.backups).toEqual([])
    const made = await demo.send('POST', '/api/backups', {})
    expect(made).toMatchObject({ status: 201, body: { backups: [{ byHand: true }] } })
    const { name, bytes } = made.body.backups[0]
    const file = await fetch(demo.address(`/api/backups/${name}`))
    expect((await file.arrayBuffer()).byteLength).toBe(bytes)
    expect(await demo.get('/api/backups/..%2Ftruelay.sqlite')).toMatchObject({ status: 404 })
  })
  test('is not written over another file, nor of a folder without a shop', async () => {
    expect(await told(writeBackup(demo.folder, backup, noon))).toMatch(/There is a file .* already\. Give the backup/)
    expect(await told(writeBackup(fresh('none'), fresh('x.zip'), noon))).toMatch(/no shop in .*TRUELAY_DATA/)
    const leftovers = readdirSync(dirname(backup)).filter((n) => n.startsWith('.'))
    expect(leftovers).toEqual([])
  })
})

describe('what is restored', () => {
  let folder: string
  beforeEach(async () => {
    folder = fresh('there')
    cpSync(demo.folder, folder, { recursive: true })
  })
  const label = async (at: string) => {
    const database = await openDatabase(at, migrations)
    const rows = await database.read.all<{ name: string }>(sql`select name from people where id = 'ines'`)
    await database.close()
    return rows[0]?.name
  }
  const rename = async (at: string, to: string) => {
    const database = await openDatabase(at, migrations)
    await database.write((db) => db.run(sql`update people set name = ${to} where id = 'ines'`))
    await database.close()
  }
  test('takes the place of what is there, which is kept beside it; the folder begins a new life', async () => {
    const was = await label(folder)
    await rename(folder, 'Later')
    const life = lifeOf(folder)
    const { before } = await restoreBackup(backup, folder, migrations, noon)
    expect(await label(folder)).toBe(was)
    expect(await label(before ?? '')).toBe('Later')
    expect(lifeOf(folder)).not.toBe(life)
    expect(lifeOf(folder)).toBe(lifeOf(folder))
  })
  test('is refused while a server works there', async () => {
    const lock = await lockFolder(folder)
    expect(await told(restoreBackup(backup, folder, migrations, noon))).toMatch(/Another True Lay server works in/)
    lock.release()
  })
  test.each([
    [
      'cut short',
      (file: string) => truncateSync(file, Math.floor(readFileSync(file).length * 0.6)),
      /no backup|damaged/,
    ],
    ['with a byte that turned', (file: string) => turnByte(file), /damaged/],
    ['a file of another kind', (file: string) => writeFileSync(file, 'PK? no.'), /no backup of True Lay/],
  ])('%s: refused, and nothing is changed', async (_, spoil, words) => {
    await rename(folder, 'Later')
    const spoilt = fresh('spoilt.zip')
    cpSync(backup, spoilt)
    spoil(spoilt)
    expect(await told(restoreBackup(spoilt, folder, migrations, noon))).toMatch(words)
    endRestore(folder)
    expect(await label(folder)).toBe('Later')
    expect(readdirSync(folder).filter((n) => n.startsWith('restoring') || n.startsWith('before-restore'))).toEqual([])
  })
  test('a file that is not there, and a backup of a newer version', async () => {
    expect(await told(restoreBackup(fresh('none.zip'), folder, migrations, noon))).toMatch(/There is no file/)
    const newer = fresh('newer')
    cpSync(demo.folder, newer, { recursive: true })
    const database = await openDatabase(newer, migrations)
    await database.write((db) => db.run(sql`insert into __drizzle_migrations (hash, created_at) values ('later', 1)`))
    await database.close()
    const file = fresh('newer.zip')
    await writeBackup(newer, file, noon)
    expect(await told(restoreBackup(file, folder, migrations, noon))).toMatch(/newer version of True Lay/)
  })
  test('cut off at any of its moves it is ended by the next start', async () => {
    const was = await label(folder)
    await rename(folder, 'Later')
    const whole = fresh('whole')
    cpSync(folder, whole, { recursive: true })
    await restoreBackup(backup, whole, migrations, noon)
    const restoring = await builtRestore()
    let ended = false
    const ends: (string | undefined)[] = []
    for (let cutAfter = 0; !ended && cutAfter < 20; cutAfter++) {
      const cut = fresh('cut')
      cpSync(folder, cut, { recursive: true })
      ended = restoreInChild(restoring, backup, cut, cutAfter)
      endRestore(cut)
      const now = await label(cut)
      expect([was, 'Later'], `cut after ${cutAfter} moves`).toContain(now)
      expect(existsSync(join(cut, 'restoring'))).toBe(false)
      const kept = readdirSync(cut).find((n) => n.startsWith('before-restore'))
      // Whatever it is now, what was there before is there still.
      if (now === was) expect(await label(join(cut, kept ?? ''))).toBe('Later')
      ends.push(now)
    }
    expect(ended).toBe(true)
    // Before the first move it is as it was; from then on it is as it shall be.
    expect(ends[0]).toBe('Later')
    expect(ends.at(-1)).toBe(was)
    expect(ends.length).toBeGreaterThan(5)
  })
})

/** What restores, built from the sources as they are now: plain Node starts it much sooner. Gives the file. */
async function builtRestore(): Promise<string> {
  const root = fileURLToPath(new URL('../..', import.meta.url))
  const outDir = join(root, `.tested-${process.env.VITEST_POOL_ID}`)
  await build({ root, logLevel: 'error', build: { ssr: 'src/backup/restoreBackup.ts', outDir, emptyOutDir: true } })
  return join(outDir, 'restoreBackup.js')
}

/** Restores in a process of its own that is ended after so many moves of files; says whether it came to its end. */
function restoreInChild(program: string, file: string, folder: string, moves: number): boolean {
  const cutOff = `
    import fs from 'node:fs'
    import { syncBuiltinESMExports } from 'node:module'
    const { renameSync } = fs
    let left = ${moves}
    fs.renameSync = (from, to) => { if (left-- <= 0) process.kill(process.pid, 'SIGKILL'); renameSync(from, to) }
    syncBuiltinESMExports()
    const { restoreBackup } = await import(${JSON.stringify(program)})
    await restoreBackup(${JSON.stringify(file)}, ${JSON.stringify(folder)}, ${JSON.stringify(migrations)}, new Date('${noon.toISOString()}'))
  `
  try {
    execFileSync(process.execPath, ['--input-type=module', '-e', cutOff], { stdio: 'ignore' })
    return true
  } catch {
    return false
  }
}

/** Turns one byte in the middle of the database that is packed in it. */
function turnByte(file: string) {
  const bytes = readFileSync(file)
  const middle = Math.floor(bytes.length / 2)
  bytes.writeUInt8((bytes[middle] ?? 0) ^ 0x55, middle)
  writeFileSync(file, bytes)
}

describe('backups that are made by themselves', () => {
  const place = () => {
    const folder = fresh('nightly')
    mkdirSync(folder)
    return { folder, write: async (file: string) => writeFileSync(file, 'x') }
  }
  const day = (d: number, hour: number) => new Date(2030, 4, d, hour)
  test('one a day, not before the night is over; the last 14 are kept, and all that were made by hand', async () => {
    const at = place()
    writeFileSync(join(at.folder, 'truelay-20300401-120000-by-hand.zip'), 'x')
    for (let d = 1; d <= 20; d++) {
      expect(await keepNightly(at, day(d, 2))).toBe(false)
      expect(await keepNightly(at, day(d, 4))).toBe(true)
      expect(await keepNightly(at, day(d, 5))).toBe(false)
    }
    const kept = backupsIn(at)
    expect(kept.filter((b) => !b.byHand).map((b) => b.name.slice(8, 16))).toEqual(
      Array.from({ length: 14 }, (_, i) => `203005${String(20 - i).padStart(2, '0')}`),
    )
    expect(kept.filter((b) => b.byHand)).toHaveLength(1)
  })
  test('one that cannot be made takes no older one away', async () => {
    const at = place()
    writeFileSync(join(at.folder, 'truelay-20300501-040000.zip'), 'x')
    const full = { ...at, write: () => Promise.reject(new Error('no room')) }
    await expect(keepNightly(full, day(2, 4))).rejects.toThrow('no room')
    expect(backupsIn(at)).toHaveLength(1)
  })
})
