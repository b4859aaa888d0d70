import { createWriteStream, existsSync } from 'node:fs'
import { mkdir, mkdtemp, open, readdir, rename, rm } from 'node:fs/promises'
import { basename, dirname, join } from 'node:path'
import { pipeline } from 'node:stream/promises'
import { createClient } from '@libsql/client'
import { name, say } from '@truelay/core/say'
import yazl from 'yazl'
import { StartTrouble } from '../database/startTrouble.ts'
import { type BackupNote, databaseName, noteName, photoEntry, photosName } from './backupFile.ts'
import { hashOf } from './hashOf.ts'
import { unpackBackup } from './unpackBackup.ts'

/**
 * Writes all that a shop keeps into one zip, while its server works on: the database as it is at one moment, and every photo. The file gets its
 * name only after it has been opened again and found whole. Throws `StartTrouble` where there is no shop, or a file of that name already.
 */
export async function writeBackup(folder: string, file: string, now: Date): Promise<BackupNote> {
  if (!existsSync(join(folder, databaseName)))
    throw new StartTrouble(say`There is no shop in ${name(folder)}.`, say`Name its folder in TRUELAY_DATA.`)
  if (existsSync(file))
    throw new StartTrouble(
      say`There is a file ${name(file)} already.`,
      say`Give the backup another name; nothing was changed.`,
    )
  await mkdir(dirname(file), { recursive: true })
  const work = await mkdtemp(join(dirname(file), `.${basename(file)}-`))
  try {
    const copy = join(work, databaseName)
    await copyDatabase(join(folder, databaseName), copy)
    const photos = await photosIn(folder)
    const note: BackupNote = {
      what: 'True Lay backup',
      version: 1,
      madeAt: now.toISOString(),
      database: await hashOf(copy),
      photos: photos.length,
    }
    const packed = join(work, 'backup.zip')
    await pack(folder, copy, photos, note, packed)
    await unpackBackup(packed, join(work, 'opened'))
    await rename(packed, file)
    return note
  } finally {
    await rm(work, { recursive: true, force: true })
  }
}

/** The database as it is at one moment, its write-ahead log folded in. */
async function copyDatabase(from: string, to: string): Promise<void> {
  const client = createClient({ url: `file:${from}`, timeout: 5000 })
  try {
    await client.execute({ sql: 'vacuum into ?', args: [to] })
  } finally {
    client.close()
  }
}

/** Names of photos as they stand in the zip. What is not finished is left out: nothing refers to it yet. */
async function photosIn(folder: string): Promise<string[]> {
  const photos = join(folder, photosName)
  if (!existsSync(photos)) return []
  const found = await readdir(photos, { recursive: true })
  return found.map((path) => `${photosName}/${path.replaceAll('\\', '/')}`).filter((path) => photoEntry.test(path))
}

async function pack(folder: string, database: string, photos: readonly string[], note: BackupNote, file: string) {
  const zip = new yazl.ZipFile()
  zip.addBuffer(Buffer.from(JSON.stringify(note, null, 1)), noteName)
  zip.addFile(database, databaseName)
  // Photos are packed already.
  for (const photo of photos) zip.addFile(join(folder, photo), photo, { compress: false })
  zip.end()
  await pipeline(zip.outputStream, createWriteStream(file))
  const written = await open(file, 'r+')
  await written.sync()
  await written.close()
}
