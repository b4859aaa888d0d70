import { existsSync } from 'node:fs'
import { join } from 'node:path'
import { say } from '@truelay/core/say'
import compression from 'compression'
import cookieParser from 'cookie-parser'
import { sql } from 'drizzle-orm'
import express, { type Express } from 'express'
import packedFiles from 'express-static-gzip'
import helmet from 'helmet'
import type { Logger } from 'pino'
import type { Database } from '../database/openDatabase.ts'
import type { BackupPlace } from '../backup/keptBackups.ts'
import { backupRoutes } from '../backup/routes.ts'
import { bayRoutes } from '../bay/routes.ts'
import { bladeRoutes } from '../blades/routes.ts'
import { exerciseRoutes } from '../exercises/routes.ts'
import { faultForLog } from '../reply/faultForLog.ts'
import { DayKeeper, type Reckon } from '../day/keepDay.ts'
import { dayRoutes } from '../day/routes.ts'
import { bundleRoutes } from '../bundle/routes.ts'
import { calendarRoutes } from '../calendar/routes.ts'
import { deviceRoutes } from '../devices/routes.ts'
import { fitRoutes } from '../fit/routes.ts'
import { formRoutes } from '../forms/routes.ts'
import { jobRoutes } from '../jobs/routes.ts'
import { labelRoutes } from '../labels/routes.ts'
import { targetRoutes } from '../targets/routes.ts'
import { cutRoutes } from '../cuts/routes.ts'
import { filmNeedRoutes } from '../filmNeeds/routes.ts'
import { stockRoutes } from '../stock/routes.ts'
import { kitCheckRoutes } from '../kitCheck/routes.ts'
import { learnedRoutes } from '../learned/routes.ts'
import { benchFollowsFit } from '../liquids/followFit.ts'
import { liquidRoutes } from '../liquids/routes.ts'
import { modelRoutes } from '../models/routes.ts'
import { NewsFeed } from '../news/newsFeed.ts'
import { newsRoutes } from '../news/routes.ts'
import { tellWrites } from '../news/tellWrites.ts'
import type { PhotoStore } from '../photos/photoStore.ts'
import { photoRoutes } from '../photos/routes.ts'
import { handOverRoutes } from '../handOver/routes.ts'
import { memoryRoutes } from '../memory/routes.ts'
import { recordRoutes } from '../records/routes.ts'
import { errorHandler, NotFound } from '../reply/reply.ts'
import { shelfRoutes } from '../shelf/routes.ts'
import { exportRoutes } from '../export/routes.ts'
import { openingRoutes } from '../opening/routes.ts'
import { jobListRoutes } from '../jobList/routes.ts'
import { correctionRoutes } from '../corrections/routes.ts'
import { shopRoutes } from '../shop/routes.ts'
import { byRole, gate } from '../signIn/gate.ts'
import { type OnNetwork, signInRoutes } from '../signIn/routes.ts'
import { walkRoundRoutes } from '../walkRound/routes.ts'
import { withoutPageHeaders } from './withoutPageHeaders.ts'
import { visitRoutes } from '../visits/routes.ts'
import { wholeSigns } from './wholeSigns.ts'
import { onlyOwnPages } from './onlyOwnPages.ts'
import { onlyKnownNames } from './onlyKnownNames.ts'

export interface AppParts {
  readonly database: Database
  readonly photos: PhotoStore
  readonly backups: BackupPlace
  /** Of the data folder: another one after each restore. */
  readonly life: string
  readonly log: Logger
  /** Folder of the built web app; left out where only the interface for programs is wanted. */
  readonly web?: string | undefined
  readonly now: () => Date
  readonly news?: NewsFeed
  /** Reckons the plan of the day; without it there is none. */
  readonly reckonDay?: Reckon | undefined
  /** Where tablets reach it; left out where it answers on its own machine only, and nobody has to sign in. */
  readonly network?: OnNetwork | undefined
}

/** The server's routes, without a port. */
export function createApp({
  database,
  photos,
  backups,
  life,
  log,
  web,
  now,
  news = new NewsFeed(),
  reckonDay,
  network,
}: AppParts): Express {
  const app = express()
  app.disable('x-powered-by')
  app.use(
    helmet({
      contentSecurityPolicy: {
        directives: {
          'script-src': ["'self'", "'wasm-unsafe-eval'"],
          'worker-src': ["'self'"],
          'style-src': ["'self'", "'unsafe-inline'"],
          'img-src': ["'self'", 'data:', 'blob:'],
          'upgrade-insecure-requests': null,
        },
      },
      strictTransportSecurity: false,
    }),
  )
  app.use(compression({ threshold: 1024 }))
  app.use(onlyKnownNames(network?.names ?? (() => [])), onlyOwnPages)
  app.use((req, res, next) => {
    const began = performance.now()
    // As it was asked for: routers shorten it on the way.
    const { method, path } = req
    res.on('finish', () => {
      if (path.startsWith('/api'))
        log.info({ method, path, status: res.statusCode, ms: Math.round(performance.now() - began) }, 'request')
    })
    next()
  })
  if (network !== undefined) app.use('/api', cookieParser(), gate(database, now))
  app.use('/api/photos', photoRoutes(photos))
  app.use('/api', express.json({ limit: '4mb' }), wholeSigns)
  if (network !== undefined) app.use('/api', byRole)
  app.use('/api', tellWrites(news))
  app.get('/api/health', async (_req, res) => {
    await database.write((db) => db.run(sql`pragma user_version = 1`))
    res.json({ ok: true })
  })
  app.use('/api/models', modelRoutes(database, now))
  app.use(
    '/api',
    signInRoutes(database, now, network ?? null, (tabletId) => news.cutOff(tabletId)),
    shopRoutes(database, now),
    openingRoutes(database, now),
    bayRoutes(database),
    dayRoutes(
      database,
      now,
      new DayKeeper(database, now, reckonDay ?? null, (error) =>
        log.error({ fault: faultForLog(error) }, 'no plan of the day'),
      ),
    ),
    jobListRoutes(database),
    exportRoutes(database, now),
    correctionRoutes(database, now),
    bundleRoutes(database, now),
    jobRoutes(database, now),
    walkRoundRoutes(database, now),
    kitCheckRoutes(database, now),
    stockRoutes(database, now),
    cutRoutes(database, now),
    labelRoutes(database, now),
    targetRoutes(),
    filmNeedRoutes(database),
    formRoutes(database, now),
    shelfRoutes(database, now),
    fitRoutes(database, now, [benchFollowsFit]),
    recordRoutes(database, photos),
    handOverRoutes(database, now),
    deviceRoutes(database, now),
    liquidRoutes(database, now),
    bladeRoutes(database, now),
    exerciseRoutes(database, now),
    learnedRoutes(database),
    memoryRoutes(database, now),
    visitRoutes(database, now),
    calendarRoutes(database, now),
    newsRoutes(news, life),
    backupRoutes(backups, now),
  )
  app.use('/api', () => {
    throw new NotFound(say`The server has nothing at that address.`, say`Check the address.`)
  })
  if (web !== undefined && existsSync(join(web, 'index.html'))) {
    // Scripts and styles were packed when the app was built; their names change with their content.
    const serveStatic = { immutable: true, maxAge: '1y' }
    app.use(
      '/assets',
      withoutPageHeaders,
      packedFiles(join(web, 'assets'), { enableBrotli: true, index: false, serveStatic }),
      () => {
        throw new NotFound(say`There is no such file.`, say`Load the page again: the app may be newer by now.`)
      },
    )
    app.use(express.static(web, { index: false }))
    app.get('/{*path}', (_req, res) => {
      res.sendFile(join(web, 'index.html'))
    })
  }
  app.use(errorHandler(log))
  return app
}
