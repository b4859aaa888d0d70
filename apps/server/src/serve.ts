import { existsSync } from 'node:fs'
import type { Server } from 'node:http'
import { join } from 'node:path'
import { deviceAddresses, deviceNames } from '@truelay/contract'
import { name, say } from '@truelay/core/say'
import pino from 'pino'
import { backupByChild } from './backup/backupByChild.ts'
import { keepNightly } from './backup/keptBackups.ts'
import { lifeOf } from './backup/life.ts'
import { endRestore } from './backup/restoreBackup.ts'
import { lockFolder } from './database/lockFolder.ts'
import { openDatabase } from './database/openDatabase.ts'
import { refuseBackwardClock } from './database/refuseBackwardClock.ts'
import { StartTrouble } from './database/startTrouble.ts'
import { reckonByChild } from './day/reckonByChild.ts'
import { saveDevices } from './devices/queries.ts'
import { catchUpFits } from './fit/catchUp.ts'
import { createApp } from './http/app.ts'
import { ShopNetwork } from './network/shopNetwork.ts'
import { NewsFeed } from './news/newsFeed.ts'
import { openPhotoStore } from './photos/photoStore.ts'
import { faultForLog } from './reply/faultForLog.ts'
import { seedDemo } from './seed/seedDemo.ts'
import { seedPast } from './seed/seedPast.ts'
import { busyYear, seedYear } from './seed/seedYear.ts'
import type { Settings } from './settings.ts'
import { forgetOldWrites } from './writes/asOneWrite.ts'

const hourMs = 3600 * 1000

export interface Serving {
  readonly demo: 'no' | 'yes' | 'with a past' | 'a year of it'
  /** Tablets on the shop's network are let in, and everybody signs in. */
  readonly network: boolean
}

/** Opens the shop and answers until the process is told to end. Throws `StartTrouble` where it cannot. */
export async function serve(settings: Settings, { demo, network }: Serving): Promise<void> {
  const { folder } = settings
  const log = pino({ level: settings.logLevel }, pino.destination(2))
  const lock = await lockFolder(folder)
  endRestore(folder)
  const database = await openDatabase(folder, settings.migrations, {
    report: (fault) => log.error({ kind: fault.kind, id: fault.id, where: fault.where }, 'left out: it cannot be read'),
  })
  await refuseBackwardClock(database, new Date())
  await forgetOldWrites(database, new Date())
  await catchUpFits(database)
  const photos = openPhotoStore(join(folder, 'photos'))
  if (demo !== 'no') log.info({ folder, seeded: await seedDemo(database, settings.demo, new Date()) }, 'demo shop')
  if (demo === 'with a past') log.info({ fits: await seedPast(database, settings.demo, new Date()) }, 'a made-up past')
  if (demo === 'a year of it')
    log.info({ events: await seedYear(database, photos, new Date(), busyYear) }, 'a year of work')
  const { standIns } = settings
  if (standIns !== null)
    await saveDevices(
      database,
      deviceAddresses.parse(Object.fromEntries(deviceNames.map((kind) => [kind, `${standIns}/${kind}`]))),
    )
  if (!existsSync(settings.web)) log.warn('the web app is not built; only /api answers')

  const onNetwork = network ? await ShopNetwork.of(join(folder, 'tls'), settings.network) : undefined
  const news = new NewsFeed()
  const backups = { folder: settings.backups, write: backupByChild }
  const app = createApp({
    database,
    photos,
    backups,
    life: lifeOf(folder),
    log,
    web: settings.web,
    now: () => new Date(),
    news,
    reckonDay: settings.plansDay ? reckonByChild : undefined,
    network: onNetwork,
  })
  const servers: Server[] = []
  let stopping = false
  const stop = (signal: string) => {
    if (stopping) return
    stopping = true
    log.info({ signal }, 'stopping')
    const closed = servers.map((server) => new Promise((resolve) => server.close(resolve)))
    void Promise.all(closed).then(async () => {
      await database.close()
      lock.release()
      process.exit(0)
    })
    news.end()
    for (const server of servers) server.closeIdleConnections()
    setTimeout(() => {
      for (const server of servers) server.closeAllConnections()
    }, 2000).unref()
  }
  process.on('SIGINT', () => stop('SIGINT'))
  process.on('SIGTERM', () => stop('SIGTERM'))

  servers.push(await listening(app, settings.port))
  process.stdout.write(`True Lay is ready at http://localhost:${settings.port}\n`)
  if (onNetwork !== undefined) {
    servers.push(...(await onNetwork.open(app, (words) => log.info(words))))
    for (const address of onNetwork.addresses()) process.stdout.write(`Tablets: ${address}\n`)
    process.stdout.write(`Certificate for tablets: ${onNetwork.certificateAt().join(' ')}, ${onNetwork.fingerprint}\n`)
  }

  const everyHour = async () => {
    await forgetOldWrites(database, new Date())
    if (demo === 'no' && (await keepNightly(backups, new Date())))
      log.info({ folder: backups.folder }, 'backup of the day')
  }
  const hourly = () =>
    void everyHour().catch((error: unknown) => log.error({ fault: faultForLog(error) }, 'backup of the day failed'))
  setInterval(hourly, hourMs).unref()
  hourly()
}

function listening(app: ReturnType<typeof createApp>, port: number): Promise<Server> {
  return new Promise((resolve, reject) => {
    const server = app.listen(port, '127.0.0.1', (error?: Error) => {
      if (error === undefined) return resolve(server)
      reject(
        new StartTrouble(
          say`Port ${name(`${port}`)} cannot be used (${name(error.message)}).`,
          say`Set PORT to a free one.`,
        ),
      )
    })
    // Tablets ask every few seconds: a connection is kept longer than their pauses, so that none is cut while a photo goes up.
    server.keepAliveTimeout = 75_000
    server.headersTimeout = 80_000
  })
}
