import { mkdtempSync, readdirSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterEach, beforeEach, expect, test } from 'vitest'
import { openPhotoStore } from './photoStore.ts'

let folder: string
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'truelay-photos-'))
})
afterEach(() => rmSync(folder, { recursive: true, force: true }))

const photo = (bytes: number, fill: number) => new Uint8Array(bytes).fill(fill)
const files = () =>
  readdirSync(folder, { recursive: true })
    .map(String)
    .filter((name) => name.includes('.jpg'))

test('a full store takes no more, but what it has it has; after a new start it still knows', async () => {
  const store = openPhotoStore(folder, 250)
  const first = await store.keep(photo(100, 1))
  expect(first).not.toBeNull()
  expect(await store.keep(photo(100, 2))).not.toBeNull()
  expect(await store.keep(photo(100, 3))).toBeNull()
  expect(await store.keep(photo(100, 1))).toBe(first)
  const again = openPhotoStore(folder, 250)
  expect(await again.keep(photo(100, 3))).toBeNull()
  expect(await again.keep(photo(50, 3))).not.toBeNull()
  expect(files().length).toBe(3)
})

test('what a power cut left unfinished is swept away at the next start', async () => {
  const id = await openPhotoStore(folder).keep(photo(10, 1))
  const [kept] = files()
  writeFileSync(join(folder, `${kept}.7f`), 'half')
  expect(files().length).toBe(2)
  const store = openPhotoStore(folder)
  expect(files()).toEqual([kept])
  expect(id === null ? null : store.fileOf(id)).toContain(String(id))
})
