import 'fake-indexeddb/auto'
import type { FitEvent } from '@truelay/contract'
import { smallEvents, smallPlan, smallStep } from '@truelay/contract/testing'
import { say } from '@truelay/core/say'
import { openDB } from 'idb'
import { beforeEach, expect, test } from 'vitest'
import { openTabletStore } from './outboxStore.ts'

const events = smallEvents(smallPlan([smallStep('wash')]), { kind: 'stepDone', stepId: 'wash' })
const ids = events.map((e) => e.id)
const day = (d: number) => new Date(2030, 4, d)

beforeEach(() => {
  Object.assign(globalThis, { indexedDB: new IDBFactory() })
})

test('events are kept in their order until they are confirmed, and some days longer for a server that is set back', async () => {
  const tablet = openTabletStore()
  await tablet.keep(events)
  expect(await openTabletStore().kept()).toEqual(events)
  await tablet.confirm(new Set([ids[0] ?? '']), day(1))
  expect(await tablet.kept()).toEqual(events.slice(1))
  await tablet.confirm(new Set(ids), day(5))
  expect(await tablet.kept()).toEqual([])
  expect(await tablet.sentSince(day(1))).toEqual(events)
  expect(await tablet.sentSince(day(4))).toEqual(events.slice(1))
  // What is older than was asked for is forgotten.
  expect(await tablet.sentSince(day(1))).toEqual(events.slice(1))
})

test('what does not count leaves the queue and is kept with why, until it is put away', async () => {
  const tablet = openTabletStore()
  await tablet.keep(events)
  const item = { key: ids[1] ?? '', says: say`It was done already.`, event: events[1], seen: false }
  await tablet.setAside([item])
  expect(await tablet.kept()).toEqual(events.slice(0, 1))
  await tablet.setAside([{ ...item, seen: true }])
  expect(await tablet.aside()).toEqual([{ ...item, seen: true }])
  await tablet.putAway([item.key])
  expect(await tablet.aside()).toEqual([])
})

test('what another version of the app has written is set aside whole, not dropped', async () => {
  const tablet = openTabletStore()
  await tablet.keep(events)
  const db = await openDB('true-lay')
  const strange = { ...events[1], kind: 'teaDrunk' }
  await db.add('events', strange)
  db.close()
  expect(await tablet.kept()).toEqual(events)
  const [item, ...more] = await tablet.aside()
  expect(more).toEqual([])
  expect(item?.event).toEqual(strange)
  expect(item?.says).toSay(/Another version of this app/)
  expect(await tablet.kept()).toEqual(events)
})

test('a tablet that was used before keeps what it had', async () => {
  const old = await openDB('true-lay', 1, {
    upgrade: (db) => void db.createObjectStore('events', { autoIncrement: true }),
  })
  await old.add('events', events[0] as FitEvent)
  old.close()
  expect(await openTabletStore().kept()).toEqual(events.slice(0, 1))
})

test('it knows under which life of the server it was last', async () => {
  const tablet = openTabletStore()
  expect(await tablet.life()).toBeNull()
  await tablet.keepLife('one')
  expect(await tablet.life()).toBe('one')
})
