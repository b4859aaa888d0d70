import { mkdirSync } from 'node:fs'
import { join } from 'node:path'
import { createClient } from '@libsql/client'
import { drizzle, type LibSQLDatabase } from 'drizzle-orm/libsql'
import { migrate } from 'drizzle-orm/libsql/migrator'
import * as schema from './schema.ts'
import type { StoredFault } from './stored.ts'

export type Tables = LibSQLDatabase<typeof schema>

export interface Database {
  readonly read: Tables
  /** Runs one write after the other: SQLite has one writer, and waiting for it would block everybody. */
  write<T>(work: (db: Tables) => Promise<T>): Promise<T>
  /** Somebody should know that a document cannot be read. */
  readonly report: (fault: StoredFault) => void
  close(): Promise<void>
}

/**
 * Opens the shop's database in a folder and brings it up to date. Write-ahead log with full synchronous writes (the
 * default of SQLite): a confirmed event outlives a power cut.
 */
export async function openDatabase(
  folder: string,
  migrations: string,
  report: Database['report'] = () => {},
): Promise<Database> {
  mkdirSync(folder, { recursive: true })
  const client = createClient({ url: `file:${join(folder, 'truelay.sqlite')}`, timeout: 5000 })
  await client.execute('PRAGMA journal_mode = WAL')
  const db = drizzle(client, { schema })
  await migrate(db, { migrationsFolder: migrations })
  let last: Promise<unknown> = Promise.resolve()
  return {
    read: db,
    report,
    write(work) {
      const mine = last.then(() => work(db))
      last = mine.catch(() => undefined)
      return mine
    },
    async close() {
      await last
      client.close()
    },
  }
}
