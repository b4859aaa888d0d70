import { mkdirSync, readdirSync, renameSync, rmSync } from 'node:fs'
import { join } from 'node:path'
import type { Client } from '@libsql/client'
import { format } from 'date-fns'
import { readMigrationFiles } from 'drizzle-orm/migrator'

const copy = /^before-upgrade-.*\.sqlite$/
const mostCopies = 5

/** Keeps a copy of a database that is about to be brought up to date, as it was. Answers its file; null where nothing is to be done. */
export async function copyBeforeUpgrade(
  client: Client,
  folder: string,
  migrationsFolder: string,
  now: Date,
): Promise<string | null> {
  const { rows } = await client.execute(`select name from sqlite_master where name = '__drizzle_migrations'`)
  if (rows.length === 0) return null
  const applied = new Set(
    (await client.execute('select hash from __drizzle_migrations')).rows.map(({ hash }) => String(hash)),
  )
  if (readMigrationFiles({ migrationsFolder }).every(({ hash }) => applied.has(hash))) return null
  mkdirSync(folder, { recursive: true })
  const file = join(folder, `before-upgrade-${format(now, 'yyyyMMdd-HHmmss')}.sqlite`)
  await client.execute({ sql: 'vacuum into ?', args: [`${file}.part`] })
  renameSync(`${file}.part`, file)
  const old = readdirSync(folder)
    .filter((name) => copy.test(name))
    .sort()
    .slice(0, -mostCopies)
  for (const name of old) rmSync(join(folder, name))
  return file
}
