import type { Backups } from '@truelay/contract'
import { name, say } from '@truelay/core/say'
import { Router } from 'express'
import { NotFound, Refused } from '../reply/reply.ts'
import { type BackupPlace, backupFile, backupsIn, makeBackup } from './keptBackups.ts'

export function backupRoutes(place: BackupPlace, now: () => Date): Router {
  const routes = Router()
  let making: Promise<void> | null = null
  const list = (): Backups => ({ folder: place.folder, backups: backupsIn(place) })
  routes.get('/backups', (_req, res) => {
    res.json(list())
  })
  routes.post('/backups', async (_req, res) => {
    if (making !== null)
      throw new Refused({
        code: 'BACKUP_UNDER_WAY',
        sentence: say`A backup is being made already.`,
        fix: say`Wait for it.`,
      })
    making = makeBackup(place, now(), true)
    try {
      await making
    } finally {
      making = null
    }
    res.status(201).json(list())
  })
  routes.get('/backups/:name', (req, res) => {
    const file = backupFile(place, req.params.name)
    if (file === null)
      throw new NotFound(say`There is no backup ${name(req.params.name)}.`, say`Choose one of those that lie there.`)
    res.download(file, req.params.name, { dotfiles: 'allow' }, () => {})
  })
  return routes
}
