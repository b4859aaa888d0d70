import { existsSync } from 'node:fs'
import { dirname, join, resolve } from 'node:path'
import { fileURLToPath } from 'node:url'
import { english } from '@truelay/words'
import pino from 'pino'
import { deviceAddresses, deviceNames } from '@truelay/contract'
import { catchUpProgress } from './fit/queries.ts'
import { lockFolder } from './database/lockFolder.ts'
import { openDatabase } from './database/openDatabase.ts'
import { startTroubleOf } from './database/startTrouble.ts'
import { saveDevices } from './devices/queries.ts'
import { createApp } from './http/app.ts'
import { NewsFeed } from './news/newsFeed.ts'
import { openPhotoStore } from './photos/photoStore.ts'
import { seedDemo } from './seed/seedDemo.ts'
import { forgetOldWrites } from './writes/asOneWrite.ts'

const here = dirname(fileURLToPath(import.meta.url))
const root = resolve(here, '../../..')
const port = Number(process.env.PORT ?? 4600)
const folder = resolve(process.env.TRUELAY_DATA ?? join(root, 'data/shop'))
const log = pino({ level: process.env.TRUELAY_LOG ?? 'info' }, pino.destination(2))

if (!Number.isInteger(port) || port < 1 || port > 65535) {
  process.stderr.write(`PORT ${process.env.PORT}: must be a whole number from 1 to 65535\n`)
  process.exit(2)
}

/** Says why it does not start, and ends. */
function giveUp(error: unknown): never {
  const trouble = startTroubleOf(error, folder)
  if (trouble === null) throw error
  process.stderr.write(`${english(trouble.sentence)} ${english(trouble.fix)}\n`)
  process.exit(1)
}

const lock = await lockFolder(folder).catch(giveUp)
const database = await openDatabase(folder, join(here, '../migrations'), {
  report: (fault) => log.error({ kind: fault.kind, id: fault.id, where: fault.where }, fault.problem),
}).catch(giveUp)
await forgetOldWrites(database, new Date())
await catchUpProgress(database)
if (process.argv.includes('--demo')) {
  const seeded = await seedDemo(database, join(root, 'demo'), new Date())
  log.info({ folder, seeded }, 'demo shop')
}
const standIns = process.env.TRUELAY_STANDINS
if (standIns !== undefined)
  await saveDevices(
    database,
    deviceAddresses.parse(Object.fromEntries(deviceNames.map((kind) => [kind, `${standIns}/${kind}`]))),
  )
const web = join(root, 'apps/web/dist')
if (!existsSync(web)) log.warn('the web app is not built; only /api answers')
const photos = openPhotoStore(join(folder, 'photos'))
const news = new NewsFeed()
const server = createApp({ database, photos, log, web, now: () => new Date(), news }).listen(
  port,
  '127.0.0.1',
  (error?: Error) => {
    if (error) {
      process.stderr.write(`Port ${port} cannot be used (${error.message}). Set PORT to a free one.\n`)
      process.exit(1)
    }
    process.stdout.write(`True Lay is ready at http://localhost:${port}\n`)
  },
)

// Tablets ask every few seconds: a connection is kept longer than their pauses, so that none is cut while a photo goes up.
server.keepAliveTimeout = 75_000
server.headersTimeout = 80_000

const dayMs = 24 * 3600 * 1000
setInterval(() => void forgetOldWrites(database, new Date()), dayMs).unref()

let stopping = false
function stop(signal: string) {
  if (stopping) return
  stopping = true
  log.info({ signal }, 'stopping')
  server.close(() => {
    void database.close().then(() => {
      lock.release()
      process.exit(0)
    })
  })
  news.end()
  server.closeIdleConnections()
  setTimeout(() => server.closeAllConnections(), 2000).unref()
}
process.on('SIGINT', () => stop('SIGINT'))
process.on('SIGTERM', () => stop('SIGTERM'))
