import { english } from '@truelay/words'
import type { Sentence } from '@truelay/core/say'
import { mkdtempSync, rmSync } from 'node:fs'
import type { Server } from 'node:http'
import type { AddressInfo } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import pino from 'pino'
import { type Database, openDatabase } from '../database/openDatabase.ts'
import { createApp } from '../http/app.ts'
import { openPhotoStore } from '../photos/photoStore.ts'
import { seedDemo } from '../seed/seedDemo.ts'

const at = (path: string) => fileURLToPath(new URL(path, import.meta.url))

/** The moment at which test servers stand still. */
export const noon = new Date('2030-05-01T12:00:00.000Z')

/** A demo shop behind a port of its own, for tests through HTTP. */
export class DemoServer {
  readonly folder = mkdtempSync(join(tmpdir(), 'truelay-'))
  private opened: Database | null = null
  private server: Server | null = null
  private root = ''

  async start(): Promise<this> {
    const database = await openDatabase(this.folder, at('../../migrations'))
    await seedDemo(database, at('../../../../demo'), noon)
    const photos = openPhotoStore(join(this.folder, 'photos'))
    const app = createApp({ database, photos, log: pino({ level: 'silent' }), now: () => noon })
    const server = app.listen(0, '127.0.0.1')
    await new Promise((resolve) => server.once('listening', resolve))
    this.root = `http://127.0.0.1:${(server.address() as AddressInfo).port}`
    this.opened = database
    this.server = server
    return this
  }

  async stop(): Promise<void> {
    await new Promise((resolve) => this.server?.close(resolve) ?? resolve(null))
    await this.opened?.close()
  }

  async end(): Promise<void> {
    await this.stop()
    rmSync(this.folder, { recursive: true, force: true })
  }

  get database(): Database {
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

  /** A body that is a text already is sent as it is. */
  async send(method: string, path: string, body: unknown) {
    const res = await fetch(this.address(path), {
      method,
      headers: { 'content-type': 'application/json' },
      body: typeof body === 'string' ? body : JSON.stringify(body),
    })
    return { status: res.status, body: await res.json() }
  }
}

/** What an answer of the server says, as it is read. */
export const said = (answer: { readonly body: { readonly sentence: Sentence } }): string =>
  english(answer.body.sentence)
