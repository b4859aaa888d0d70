import { describe, expect, test, vi } from 'vitest'
import { startKeptWrites } from './keptWrites.ts'
import type { WriteSent } from './sendWrite.ts'
import type { KeptWrite, WriteStore } from './writeStore.ts'

/** What a tablet keeps, and a server that answers as it is told. */
function tablet(outcome: (write: KeptWrite) => WriteSent | Promise<WriteSent>, before: readonly KeptWrite[] = []) {
  const stored = [...before]
  const kept: WriteStore = {
    add: async (write) => void stored.push(write),
    all: async () => [...stored],
    put: async (write) =>
      void stored.splice(
        stored.findIndex((w) => w.id === write.id),
        1,
        write,
      ),
    remove: async (id) =>
      void stored.splice(
        stored.findIndex((w) => w.id === id),
        1,
      ),
  }
  const asked: string[] = []
  const dispatch = vi.fn((action) => action)
  const start = () =>
    startKeptWrites({
      store: { dispatch },
      kept,
      retryMs: 5,
      ask: async (write) => {
        asked.push(write.id)
        return outcome(write)
      },
    })
  const invalidated = () => dispatch.mock.calls.filter(([action]) => /invalidateTags/.test(action.type)).length
  return { stored, asked, start, invalidated }
}
const id = (n: number) => `00000000-0000-4000-8000-00000000000${n}`
const write = (n: number) => ({
  id: id(n),
  what: 'finding' as const,
  method: 'PUT' as const,
  url: `x/${n}`,
  body: { n },
})
const whole = (n: number): KeptWrite => ({ ...write(n), at: '2030-05-01T12:00:00.000Z', refused: null })

describe('what was done while the server was away', () => {
  test('goes in its order once it answers, and each is forgotten then', async () => {
    let away = true
    const { stored, asked, start, invalidated } = tablet(() => ({ kind: away ? 'later' : 'done' }))
    const writes = start()
    for (const n of [1, 2, 3]) await writes.add(write(n))
    await expect.poll(() => asked.length).toBeGreaterThan(1)
    expect(new Set(asked)).toEqual(new Set([id(1)]))
    expect(writes.waits()).toBe(true)
    away = false
    await expect.poll(() => stored).toEqual([])
    expect(asked.slice(-3)).toEqual([id(1), id(2), id(3)])
    expect(writes.waits()).toBe(false)
    await expect.poll(invalidated).toBe(1)
  })
  test('is there after the page was closed', async () => {
    const { stored, asked, start } = tablet(() => ({ kind: 'done' }), [whole(1), whole(2)])
    start()
    await expect.poll(() => stored).toEqual([])
    expect(asked).toEqual([id(1), id(2)])
  })
  test('is kept at once, also while a server that says nothing is waited for', async () => {
    const { stored, start } = tablet(() => new Promise<WriteSent>(() => {}), [whole(1)])
    await start().add(write(2))
    expect(stored.map((w) => w.id)).toEqual([id(1), id(2)])
  })
  test('what is refused stays with the reason until somebody has read it, and holds nothing up', async () => {
    const { stored, start } = tablet((w) =>
      w.id === id(1) ? { kind: 'refused', says: 'Signed already.' } : { kind: 'done' },
    )
    const writes = start()
    for (const n of [1, 2]) await writes.add(write(n))
    await expect.poll(() => stored).toMatchObject([{ id: id(1), refused: 'Signed already.' }])
    expect(writes.waits()).toBe(false)
    await writes.putAway(id(1))
    expect(stored).toEqual([])
  })
})
