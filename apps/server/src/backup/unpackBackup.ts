import { createWriteStream } from 'node:fs'
import { mkdir, readFile } from 'node:fs/promises'
import { dirname, join } from 'node:path'
import { pipeline } from 'node:stream/promises'
import { createClient } from '@libsql/client'
import { say } from '@truelay/core/say'
import yauzl from 'yauzl'
import { StartTrouble } from '../database/startTrouble.ts'
import { type BackupNote, backupNote, databaseName, noteName, photoEntry } from './backupFile.ts'
import { hashOf } from './hashOf.ts'

const damaged = () =>
  new StartTrouble(
    say`This backup is damaged: not all of it can be read as it was written.`,
    say`Use another one; nothing was changed.`,
  )

/**
 * Unpacks a backup into a folder of its own and looks whether it is whole: every photo is what its name says, the database is the one that was
 * copied and sound in itself. Throws `StartTrouble` where it is not.
 */
export async function unpackBackup(file: string, into: string): Promise<BackupNote> {
  await mkdir(into, { recursive: true })
  const photos = await unpackAll(file, into)
  const note = await readNote(join(into, noteName))
  if (photos.length !== note.photos) throw damaged()
  for (const photo of photos) {
    const [, , hash] = photoEntry.exec(photo) ?? []
    if ((await hashOf(join(into, photo))) !== hash) throw damaged()
  }
  const database = join(into, databaseName)
  if ((await hashOf(database).catch(() => null)) !== note.database || !(await isSound(database))) throw damaged()
  return note
}

/** Only what a backup holds is taken from the zip: no other name, and nothing outside the folder. */
async function unpackAll(file: string, into: string): Promise<string[]> {
  const zip = await yauzl.openPromise(file).catch((error: NodeJS.ErrnoException) => {
    if (error.code !== undefined) throw error
    throw new StartTrouble(say`This file is no backup of True Lay.`, say`Choose one that True Lay has written.`)
  })
  const photos: string[] = []
  try {
    for await (const entry of zip.eachEntry()) {
      const { fileName } = entry
      const isPhoto = photoEntry.test(fileName)
      if (!isPhoto && fileName !== databaseName && fileName !== noteName) continue
      if (isPhoto) photos.push(fileName)
      const to = join(into, fileName)
      await mkdir(dirname(to), { recursive: true })
      await pipeline(await zip.openReadStreamPromise(entry), createWriteStream(to, { flush: true }))
    }
  } catch (error) {
    if ((error as NodeJS.ErrnoException).code === 'ENOSPC') throw error
    throw damaged()
  }
  return photos
}

async function readNote(file: string): Promise<BackupNote> {
  const text = await readFile(file, 'utf8').catch(() => '')
  const read = backupNote.safeParse(
    (() => {
      try {
        return JSON.parse(text)
      } catch {
        return null
      }
    })(),
  )
  if (read.success) return read.data
  throw new StartTrouble(say`This file is no backup of True Lay.`, say`Choose one that True Lay has written.`)
}

/** The database finds no fault in itself. */
async function isSound(file: string): Promise<boolean> {
  const client = createClient({ url: `file:${file}` })
  try {
    const { rows } = await client.execute('pragma integrity_check')
    return rows.length === 1 && rows[0]?.integrity_check === 'ok'
  } catch {
    return false
  } finally {
    client.close()
  }
}
