import { randomUUID } from 'node:crypto'
import { type DayPlan, writeIdHeader } from '@truelay/contract'
import { english } from '@truelay/words'
import type { Sentence } from '@truelay/core/say'
import { mkdtempSync, rmSync } from 'node:fs'
import type { Server } from 'node:http'
import { createServer as createPacked } from 'node:https'
import type { AddressInfo } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { sql } from 'drizzle-orm'
import pino from 'pino'
import { type OpenDatabase, openDatabase } from '../database/openDatabase.ts'
import { toStored } from '../database/stored.ts'
import { dayPlanRows } from '../day/table.ts'
import { lifeOf } from '../backup/life.ts'
import { writeBackup } from '../backup/writeBackup.ts'
import { createApp } from '../http/app.ts'
import { authorityIn, certificateFor } from '../network/authority.ts'
import { NewsFeed } from '../news/newsFeed.ts'
import { openPhotoStore } from '../photos/photoStore.ts'
import { seedDemo } from '../seed/seedDemo.ts'

const at = (path: string) => fileURLToPath(new URL(path, import.meta.url))

/** The moment at which test servers stand still. */
export const noon = new Date('2030-05-01T12:00:00.000Z')

/** A demo shop behind a port of its own, for tests through HTTP. */
export class DemoServer {
  private opened: OpenDatabase | null = null
  private server: Server | null = null
  private root = ''
  private packed: ReturnType<typeof createPacked> | null = null
  private readonly news = new NewsFeed()
  /** The moment it takes for now; tests may move it. */
  now = noon
  /** Where tablets reach it, once it is opened to them. */
  network: { readonly port: number; readonly certificate: string } | null = null

  /** In a folder of its own, or in one that is there already. */
  constructor(
    readonly folder = mkdtempSync(join(tmpdir(), 'truelay-')),
    private readonly log = pino({ level: 'silent' }),
    private readonly holds: 'the demo shop' | 'empty' = 'the demo shop',
    private readonly toNetwork = false,
  ) {}

  /** Folder of the built pages; none are served where it is left out. */
  web: string | undefined

  /** Hears of every statement of the database before it is done, and may stop it by an exception. */
  onStatement: (sql: string) => void = () => {}

  async start(): Promise<this> {
    const database = await openDatabase(this.folder, at('../../migrations'), {
      onStatement: (sql) => this.onStatement(sql),
    })
    if (this.holds !== 'empty') await seedDemo(database, at('../../../../demo'), noon)
    const photos = openPhotoStore(join(this.folder, 'photos'))
    const app = createApp({
      database,
      web: this.web,
      photos,
      backups: {
        folder: join(this.folder, 'backups'),
        write: async (file) => void (await writeBackup(this.folder, file, noon)),
      },
      life: lifeOf(this.folder),
      log: this.log,
      now: () => this.now,
      news: this.news,
      network: this.toNetwork
        ? {
            names: () => ['127.0.0.1'],
            addresses: () => ['https://192.168.7.2:4643'],
            certificateAt: () => ['http://192.168.7.2:4680'],
            fingerprint: 'AB CD',
          }
        : undefined,
    })
    if (this.toNetwork) await this.openNetwork(app)
    const server = app.listen(0, '127.0.0.1')
    // As in `main.ts`: no connection is cut that a request is about to use.
    server.keepAliveTimeout = 75_000
    await new Promise((resolve) => server.once('listening', resolve))
    this.root = `http://127.0.0.1:${(server.address() as AddressInfo).port}`
    this.opened = database
    this.server = server
    return this
  }

  /** Answers with TLS too, as the shop's network is answered. */
  private async openNetwork(app: ReturnType<typeof createApp>): Promise<void> {
    const authority = await authorityIn(join(this.folder, 'tls'), new Date())
    const packed = createPacked(await certificateFor(authority, { names: [], ips: ['127.0.0.1'] }, new Date()), app)
    await new Promise<void>((resolve) => packed.listen(0, '127.0.0.1', resolve))
    this.packed = packed
    this.network = { port: (packed.address() as AddressInfo).port, certificate: authority.pem }
  }

  async stop(): Promise<void> {
    this.news.end()
    this.packed?.close()
    this.packed?.closeAllConnections()
    const { server } = this
    const closed = new Promise((resolve) => server?.close(resolve) ?? resolve(null))
    server?.closeIdleConnections()
    // Of this server: the one that starts after it keeps its connections.
    setTimeout(() => server?.closeAllConnections(), 200)
    await closed
    await this.opened?.close()
  }

  async end(): Promise<void> {
    await this.stop()
    rmSync(this.folder, { recursive: true, force: true })
  }

  /** A plan of the day as it was reckoned, for whoever looks at it. */
  async keepDay(plan: DayPlan): Promise<void> {
    const document = toStored('dayPlan', plan)
    await this.database.write((db) =>
      db
        .insert(dayPlanRows)
        .values({ id: 'kept', of: 'what was', document })
        .onConflictDoUpdate({ target: dayPlanRows.id, set: { document } }),
    )
  }

  get database(): OpenDatabase {
    if (this.opened === null) throw new Error('the server has not been started')
    return this.opened
  }

  address(path: string): string {
    return this.root + path
  }

  async get(path: string) {
    const res = await fetch(this.address(path))
    return { status: res.status, body: await res.json() }
  }

  /** Everything that is stored, table by table. */
  async everything(): Promise<unknown> {
    const { read } = this.database
    const tables = await read.all<{ name: string }>(
      sql`select name from sqlite_master where type = 'table' order by name`,
    )
    return Promise.all(
      tables
        .filter(({ name }) => !name.startsWith('sqlite_') && !name.startsWith('__'))
        .map(async ({ name }) => [name, await read.all(sql.raw(`select * from "${name}"`))]),
    )
  }

  /** A body that is a text already is sent as it is. */
  async send(method: string, path: string, body: unknown, writeId: string = randomUUID()) {
    const res = await fetch(this.address(path), {
      method,
      headers: { 'content-type': 'application/json', [writeIdHeader]: writeId },
      body: typeof body === 'string' ? body : JSON.stringify(body),
    })
    return { status: res.status, body: await res.json() }
  }
}

/** What an answer of the server says, as it is read. */
export const said = (answer: { readonly body: { readonly sentence: Sentence } }): string =>
  english(answer.body.sentence)
