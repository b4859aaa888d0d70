import { type FitEvent, fitEvent, sentence } from '@truelay/contract'
import { say, type Sentence } from '@truelay/core/say'
import { type DBSchema, openDB } from 'idb'
import { z } from 'zod'

/** Something that happened and does not count, or that this app cannot read: kept until somebody puts it away. */
export interface SetAside {
  readonly key: string
  readonly says: Sentence
  /** As it was kept. */
  readonly event: unknown
  /** Somebody has read why. */
  readonly seen: boolean
}

/** What a tablet keeps of fits: what waits to be sent, what was sent lately, what did not count. */
export interface TabletStore {
  /** Keeps events until the server has them: all of them or none. */
  keep(events: readonly FitEvent[]): Promise<void>
  /** All that the server does not have yet, in the order in which it happened. What cannot be read is set aside. */
  kept(): Promise<FitEvent[]>
  /** The server has them: they are kept for some days more, for a server that is set back to an older state. */
  confirm(ids: ReadonlySet<string>, at: Date): Promise<void>
  setAside(items: readonly SetAside[]): Promise<void>
  aside(): Promise<SetAside[]>
  putAway(keys: readonly string[]): Promise<void>
  /** What the server has confirmed since a moment, oldest first; what is older is forgotten. */
  sentSince(since: Date): Promise<FitEvent[]>
  /** The life of the server's data that this tablet knew last; null where it knew none. */
  life(): Promise<string | null>
  keepLife(life: string): Promise<void>
}

interface Schema extends DBSchema {
  events: { key: number; value: FitEvent }
  sent: { key: number; value: { readonly event: FitEvent; readonly at: number } }
  aside: { key: string; value: unknown }
  facts: { key: string; value: string }
}

const setAside = z.strictObject({ key: z.string(), says: sentence, event: z.unknown(), seen: z.boolean() })
const otherVersion = say`Another version of this app has written it, and this one cannot read it.`

const opened = () =>
  openDB<Schema>('true-lay', 2, {
    upgrade(db, before) {
      if (before < 1) db.createObjectStore('events', { autoIncrement: true })
      db.createObjectStore('sent', { autoIncrement: true })
      db.createObjectStore('aside', { keyPath: 'key' })
      db.createObjectStore('facts')
    },
  })

/** Keeps them in the browser's own database. */
export function openTabletStore(): TabletStore {
  let database: ReturnType<typeof opened> | null = null
  const open = () => {
    database ??= opened()
    return database
  }
  return {
    async keep(events) {
      const transaction = (await open()).transaction('events', 'readwrite')
      await Promise.all([...events.map((event) => transaction.store.add(event)), transaction.done])
    },
    async kept() {
      const transaction = (await open()).transaction(['events', 'aside'], 'readwrite')
      const events: FitEvent[] = []
      const queue = transaction.objectStore('events')
      for (let cursor = await queue.openCursor(); cursor !== null; cursor = await cursor.continue()) {
        const read = fitEvent.safeParse(cursor.value)
        if (read.success) events.push(read.data)
        else {
          const key = `unread-${cursor.key}-${cursor.value.id}`
          await transaction.objectStore('aside').put({ key, says: otherVersion, event: cursor.value, seen: false })
          await cursor.delete()
        }
      }
      await transaction.done
      return events
    },
    async confirm(ids, at) {
      const transaction = (await open()).transaction(['events', 'sent'], 'readwrite')
      const queue = transaction.objectStore('events')
      for (let cursor = await queue.openCursor(); cursor !== null; cursor = await cursor.continue()) {
        if (!ids.has(cursor.value.id)) continue
        await transaction.objectStore('sent').add({ event: cursor.value, at: at.getTime() })
        await cursor.delete()
      }
      await transaction.done
    },
    async setAside(items) {
      const gone = new Set(items.map((item) => item.key))
      const transaction = (await open()).transaction(['events', 'aside'], 'readwrite')
      const queue = transaction.objectStore('events')
      for (const item of items) await transaction.objectStore('aside').put(item)
      for (let cursor = await queue.openCursor(); cursor !== null; cursor = await cursor.continue())
        if (gone.has(cursor.value.id)) await cursor.delete()
      await transaction.done
    },
    async aside() {
      return (await (await open()).getAll('aside')).flatMap((item) => setAside.safeParse(item).data ?? [])
    },
    async putAway(keys) {
      const transaction = (await open()).transaction('aside', 'readwrite')
      await Promise.all([...keys.map((key) => transaction.store.delete(key)), transaction.done])
    },
    async sentSince(since) {
      const transaction = (await open()).transaction('sent', 'readwrite')
      const events: FitEvent[] = []
      for (let cursor = await transaction.store.openCursor(); cursor !== null; cursor = await cursor.continue()) {
        const read = fitEvent.safeParse(cursor.value.event)
        if (cursor.value.at < since.getTime()) await cursor.delete()
        else if (read.success) events.push(read.data)
      }
      await transaction.done
      return events
    },
    async life() {
      return (await (await open()).get('facts', 'life')) ?? null
    },
    async keepLife(life) {
      await (await open()).put('facts', life, 'life')
    },
  }
}
