import { type DBSchema, openDB } from 'idb'
import { z } from 'zod'

const what = ['finding', 'finding taken away', 'photo', 'kit count', 'bottle', 'exercise'] as const
export type WriteKind = (typeof what)[number]

/** Something that was done while the server was away, and is sent once it is back. */
export const keptWrite = z.object({
  /** Its own: sent twice, it is done once. */
  id: z.uuid(),
  what: z.enum(what),
  method: z.enum(['POST', 'PUT', 'DELETE']),
  /** Below /api/. */
  url: z.string(),
  /** JSON, or a photo. */
  body: z.union([z.instanceof(Blob), z.json()]).optional(),
  at: z.string(),
  /** Why the server did not take it, as it is read; it is kept until somebody has read that. */
  refused: z.string().nullable(),
})
export type KeptWrite = z.infer<typeof keptWrite>

/** What of a tablet's own doing waits for the server, in the order in which it was done. */
export interface WriteStore {
  add(write: KeptWrite): Promise<void>
  /** The oldest first; what another version of the app has written and this one cannot read stays where it is. */
  all(): Promise<KeptWrite[]>
  put(write: KeptWrite): Promise<void>
  remove(id: string): Promise<void>
}

interface Schema extends DBSchema {
  writes: { key: number; value: unknown; indexes: { id: string } }
}

const opened = () =>
  openDB<Schema>('true-lay-writes', 1, {
    upgrade: (db) => {
      db.createObjectStore('writes', { autoIncrement: true }).createIndex('id', 'id', { unique: true })
    },
  })

/** In the browser's own database. */
export function openWriteStore(): WriteStore {
  let database: ReturnType<typeof opened> | null = null
  const open = () => {
    database ??= opened()
    return database
  }
  const keyOf = async (id: string) => (await open()).getKeyFromIndex('writes', 'id', id)
  return {
    async add(write) {
      await (await open()).add('writes', write)
    },
    async all() {
      return (await (await open()).getAll('writes')).flatMap((value) => keptWrite.safeParse(value).data ?? [])
    },
    async put(write) {
      const key = await keyOf(write.id)
      if (key !== undefined) await (await open()).put('writes', write, key)
    },
    async remove(id) {
      const key = await keyOf(id)
      if (key !== undefined) await (await open()).delete('writes', key)
    },
  }
}
