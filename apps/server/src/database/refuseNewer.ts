import type { Client } from '@libsql/client'
import { say } from '@truelay/core/say'
import { readMigrationFiles } from 'drizzle-orm/migrator'
import { StartTrouble } from './startTrouble.ts'

/** A database that a newer version has brought up to date is left alone: this one does not know what is in it. */
export async function refuseNewer(client: Client, migrationsFolder: string): Promise<void> {
  const { rows } = await client.execute(`select name from sqlite_master where name = '__drizzle_migrations'`)
  if (rows.length === 0) return
  const known = new Set(readMigrationFiles({ migrationsFolder }).map(({ hash }) => hash))
  const applied = await client.execute('select hash from __drizzle_migrations')
  if (applied.rows.every(({ hash }) => known.has(String(hash)))) return
  throw new StartTrouble(
    say`The shop's database was written by a newer version of True Lay.`,
    say`Start that version again, or bring back a copy from before; nothing was changed.`,
  )
}
