import { existsSync, readdirSync, rmSync, statSync } from 'node:fs'
import { join } from 'node:path'
import { format, isSameDay, isValid, parse } from 'date-fns'
import type { Backup } from '@truelay/contract'

const nameOfBackup = /^truelay-(\d{8}-\d{6})(-by-hand)?\.zip$/
const stamp = 'yyyyMMdd-HHmmss'
/** So many of those that are made by themselves are kept. */
const mostNightly = 14
/** From this hour on the backup of a day is due: nobody is fitting, and the machine is on again. */
const dueHour = 3

/** Where backups lie, and how one is made. */
export interface BackupPlace {
  readonly folder: string
  readonly write: (file: string) => Promise<void>
}

/** The backups that lie there, the latest first. */
export function backupsIn({ folder }: BackupPlace): Backup[] {
  if (!existsSync(folder)) return []
  return readdirSync(folder)
    .flatMap((name) => {
      const [, madeAt, byHand] = nameOfBackup.exec(name) ?? []
      const at = madeAt === undefined ? null : parse(madeAt, stamp, new Date())
      if (at === null || !isValid(at)) return []
      return { name, bytes: statSync(join(folder, name)).size, at: at.toISOString(), byHand: byHand !== undefined }
    })
    .sort((a, b) => b.at.localeCompare(a.at))
}

/** The file of a backup that lies there, or null. */
export const backupFile = (place: BackupPlace, name: string): string | null =>
  nameOfBackup.test(name) && existsSync(join(place.folder, name)) ? join(place.folder, name) : null

export async function makeBackup(place: BackupPlace, now: Date, byHand: boolean): Promise<void> {
  await place.write(join(place.folder, `truelay-${format(now, stamp)}${byHand ? '-by-hand' : ''}.zip`))
}

/** Makes the backup of the day where it is due, and takes the oldest away; those made by hand stay. Says whether it made one. */
export async function keepNightly(place: BackupPlace, now: Date): Promise<boolean> {
  const last = backupsIn(place).find((backup) => !backup.byHand)
  if (now.getHours() < dueHour || (last !== undefined && isSameDay(last.at, now))) return false
  await makeBackup(place, now, false)
  const old = backupsIn(place)
    .filter((backup) => !backup.byHand)
    .slice(mostNightly)
  for (const { name } of old) rmSync(join(place.folder, name))
  return true
}
