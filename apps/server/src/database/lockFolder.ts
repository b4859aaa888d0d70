import { mkdirSync } from 'node:fs'
import { join } from 'node:path'
import { createClient } from '@libsql/client'
import { name, say } from '@truelay/core/say'
import { StartTrouble } from './startTrouble.ts'

/**
 * Keeps a data folder to one server: two of them would give numbers twice. The lock is a transaction of a database of its own that stays open:
 * the system lets go of it however the server ends. Throws `StartTrouble` where another server has the folder.
 */
export async function lockFolder(folder: string): Promise<{ readonly release: () => void }> {
  mkdirSync(folder, { recursive: true })
  const client = createClient({ url: `file:${join(folder, 'in-use.sqlite')}`, timeout: 200 })
  try {
    const held = await client.transaction('write')
    await held.execute('create table if not exists lock (at text)')
    return {
      release: () => {
        held.close()
        client.close()
      },
    }
  } catch (error) {
    client.close()
    if (!String((error as { readonly code?: unknown }).code).startsWith('SQLITE_BUSY')) throw error
    throw new StartTrouble(
      say`Another True Lay server works in ${name(folder)}.`,
      say`Use that one, end it first, or name another folder in TRUELAY_DATA.`,
    )
  }
}
