import { type FitEvent, fitEvent } from '@truelay/contract'
import { type DBSchema, openDB } from 'idb'

interface OutboxSchema extends DBSchema {
  events: { key: number; value: FitEvent }
}

const opened = () =>
  openDB<OutboxSchema>('true-lay', 1, {
    upgrade(db) {
      db.createObjectStore('events', { autoIncrement: true })
    },
  })
let database: ReturnType<typeof opened> | null = null
const open = () => {
  database ??= opened()
  return database
}

/** Keeps events on the tablet until the server has them: all of them or none. */
export async function keepEvents(events: readonly FitEvent[]): Promise<void> {
  const transaction = (await open()).transaction('events', 'readwrite')
  await Promise.all([...events.map((event) => transaction.store.add(event)), transaction.done])
}

/** All events the server does not have yet, in the order in which they happened. */
export async function keptEvents(): Promise<FitEvent[]> {
  return (await (await open()).getAll('events')).flatMap((event) => {
    const parsed = fitEvent.safeParse(event)
    return parsed.success ? [parsed.data] : []
  })
}

/** Forgets events that the server has confirmed. */
export async function forgetEvents(ids: ReadonlySet<string>): Promise<void> {
  const transaction = (await open()).transaction('events', 'readwrite')
  for (let cursor = await transaction.store.openCursor(); cursor !== null; cursor = await cursor.continue())
    if (ids.has(cursor.value.id)) await cursor.delete()
  await transaction.done
}
