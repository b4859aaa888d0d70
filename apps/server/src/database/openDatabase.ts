import { mkdirSync } from 'node:fs'
import { join } from 'node:path'
import { createClient, type ResultSet } from '@libsql/client'
import { drizzle } from 'drizzle-orm/libsql'
import { migrate } from 'drizzle-orm/libsql/migrator'
import type { BaseSQLiteDatabase } from 'drizzle-orm/sqlite-core'
import { copyBeforeUpgrade } from './copyBeforeUpgrade.ts'
import { refuseNewer } from './refuseNewer.ts'
import * as schema from './schema.ts'
import { Unchanging } from './unchanging.ts'
import type { StoredFault } from './stored.ts'

/** The tables, by themselves or as one transaction sees them. */
export type Tables = BaseSQLiteDatabase<'async', ResultSet, typeof schema>

export interface Database {
  /** Within a write this sees what the write has done so far. */
  readonly read: Tables
  /**
   * Does some work as one transaction: all of it counts, or nothing. What the work reads and asks of others goes through `within`, a database
   * whose reads and writes belong to the same transaction. One write follows the other: SQLite has one writer, and waiting for it would block
   * everybody.
   */
  write<T>(work: (db: Tables, within: Database) => Promise<T>): Promise<T>
  /** How many writes have counted since the database was opened: where it is the same, everything is. */
  readonly writesDone: () => number
  /** What was read and never changes. */
  readonly unchanging: Unchanging
  /** Somebody should know that a document cannot be read. */
  readonly report: (fault: StoredFault) => void
}

export interface OpenDatabase extends Database {
  close(): Promise<void>
}

export interface DatabaseOptions {
  readonly report?: Database['report']
  /** Hears of each statement before it is done; what it throws stops the statement, as a fault of the disk would. */
  readonly onStatement?: (sql: string) => void
}

/**
 * Opens the shop's database in a folder and brings it up to date. Write-ahead log with full synchronous writes (the
 * default of SQLite): a confirmed event outlives a power cut. Throws `StartTrouble` for a database of a newer version.
 */
export async function openDatabase(
  folder: string,
  migrations: string,
  { report = () => {}, onStatement }: DatabaseOptions = {},
): Promise<OpenDatabase> {
  mkdirSync(folder, { recursive: true })
  const client = createClient({ url: `file:${join(folder, 'truelay.sqlite')}`, timeout: 5000 })
  await client.execute('PRAGMA journal_mode = WAL')
  // After much was written at once the log gives its room back.
  await client.execute('PRAGMA journal_size_limit = 67108864')
  const db = drizzle(client, {
    schema,
    ...(onStatement === undefined ? {} : { logger: { logQuery: (sql: string) => onStatement(sql) } }),
  })
  await refuseNewer(client, migrations)
  await copyBeforeUpgrade(client, join(folder, 'backups'), migrations, new Date())
  await migrate(db, { migrationsFolder: migrations })
  const unchanging = new Unchanging(200)
  let writes = 0
  const writesDone = () => writes
  let last: Promise<unknown> = Promise.resolve()
  return {
    read: db,
    unchanging,
    writesDone,
    report,
    write(work) {
      const mine = last.then(async () => {
        const done = await db.transaction((tx) => work(tx, withinTransaction(tx, { unchanging, writesDone, report })))
        writes++
        return done
      })
      last = mine.catch(() => undefined)
      return mine
    },
    async close() {
      await last
      // All of it lies in the one file from here on.
      await client.execute('PRAGMA wal_checkpoint(TRUNCATE)')
      client.close()
    },
  }
}

/** A database of which all belongs to a transaction that is open already. */
function withinTransaction(tx: Tables, shared: Pick<Database, 'unchanging' | 'writesDone' | 'report'>): Database {
  const within: Database = { ...shared, read: tx, write: (work) => work(tx, within) }
  return within
}
