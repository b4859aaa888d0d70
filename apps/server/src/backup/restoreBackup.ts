import { existsSync, readFileSync, renameSync, rmSync, writeFileSync } from 'node:fs'
import { mkdir } from 'node:fs/promises'
import { join } from 'node:path'
import { createClient } from '@libsql/client'
import { formatISO } from 'date-fns'
import { name, say } from '@truelay/core/say'
import { z } from 'zod'
import { lockFolder } from '../database/lockFolder.ts'
import { refuseNewer } from '../database/refuseNewer.ts'
import { StartTrouble } from '../database/startTrouble.ts'
import { type BackupNote, databaseName, photosName } from './backupFile.ts'
import { lifeName } from './life.ts'
import { unpackBackup } from './unpackBackup.ts'

const workName = 'restoring'
const planName = 'restoring.json'
/** All that a shop keeps in its folder. */
const keptNames = [databaseName, `${databaseName}-wal`, `${databaseName}-shm`, photosName, lifeName]

/** How far a restore is: what was there is put away first, then what was unpacked takes its place. */
const plan = z.strictObject({ putAwayIn: z.string(), phase: z.enum(['put away', 'take in']) })

export interface Restored {
  readonly note: BackupNote
  /** Where that lies now which was there before; null where nothing was. */
  readonly before: string | null
}

/**
 * Puts what a backup holds in the place of what is in a data folder, which is kept beside it. No server may work in the folder. Cut off in the
 * middle it is ended by the next start. Throws `StartTrouble` where the backup is none, is damaged, or was written by a newer version.
 */
export async function restoreBackup(file: string, folder: string, migrations: string, now: Date): Promise<Restored> {
  if (!existsSync(file)) throw new StartTrouble(say`There is no file ${name(file)}.`, say`Look where the backups lie.`)
  const lock = await lockFolder(folder)
  try {
    endRestore(folder)
    const work = join(folder, workName)
    const note = await unpackBackup(file, work)
    await refuseNewerFile(join(work, databaseName), migrations)
    const putAwayIn = `before-restore-${formatISO(now, { format: 'basic' }).replace(/[+Z].*$/, '')}`
    const hadAny = existsSync(join(folder, databaseName))
    await mkdir(join(folder, putAwayIn), { recursive: true })
    writePlan(folder, { putAwayIn, phase: 'put away' })
    endRestore(folder)
    return { note, before: hadAny ? join(folder, putAwayIn) : null }
  } finally {
    lock.release()
  }
}

/** Ends a restore that was cut off; does nothing where there is none. */
export function endRestore(folder: string): void {
  const file = join(folder, planName)
  // Cut off while it was unpacked: nothing was put away yet.
  if (!existsSync(file)) {
    rmSync(join(folder, workName), { recursive: true, force: true })
    return
  }
  const { putAwayIn, phase } = plan.parse(JSON.parse(readFileSync(file, 'utf8')))
  const before = join(folder, putAwayIn)
  if (phase === 'put away') {
    for (const kept of keptNames) moveOver(join(folder, kept), join(before, kept))
    writePlan(folder, { putAwayIn, phase: 'take in' })
  }
  for (const kept of keptNames) moveOver(join(folder, workName, kept), join(folder, kept))
  rmSync(join(folder, workName), { recursive: true, force: true })
  rmSync(file)
}

function moveOver(from: string, to: string): void {
  if (existsSync(from)) renameSync(from, to)
}

function writePlan(folder: string, content: z.infer<typeof plan>): void {
  const file = join(folder, planName)
  writeFileSync(`${file}.new`, JSON.stringify(content), { flush: true })
  renameSync(`${file}.new`, file)
}

async function refuseNewerFile(file: string, migrations: string): Promise<void> {
  const client = createClient({ url: `file:${file}` })
  try {
    await refuseNewer(client, migrations)
  } finally {
    client.close()
  }
}
