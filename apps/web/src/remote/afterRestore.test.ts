import type { FitEvent } from '@truelay/contract'
import { smallEvents, smallPlan, smallStep } from '@truelay/contract/testing'
import { expect, test } from 'vitest'
import { watchLife } from './afterRestore.ts'
import { openTabletStore, type TabletStore } from './outboxStore.ts'
import 'fake-indexeddb/auto'

const events = smallEvents(smallPlan([smallStep('wash')]), { kind: 'stepDone', stepId: 'wash' })

/** A tablet that has sent two events under the first life, before a server that has lost some of them. */
async function tabletWith(lost: readonly string[] | null) {
  Object.assign(globalThis, { indexedDB: new IDBFactory() })
  const tablet: TabletStore = openTabletStore()
  await tablet.keep(events)
  await tablet.confirm(new Set(events.map((e) => e.id)), new Date('2030-05-01T10:00:00Z'))
  const offered: (readonly FitEvent[])[] = []
  const sent: FitEvent[] = []
  const asked: string[] = []
  const watch = watchLife({
    dispatch: ((action: { payload: readonly FitEvent[] }) => void offered.push(action.payload)) as never,
    tablet,
    missing: async (ids) => {
      asked.push(...ids)
      return lost === null ? null : new Set(lost)
    },
    send: async (more) => void sent.push(...more),
    now: () => new Date('2030-05-02T10:00:00Z').getTime(),
  })
  await watch.hears('first')
  return { watch, tablet, offered, sent, asked }
}
const last = events[1] as FitEvent

test('as long as the server’s data lives on, nothing is asked', async () => {
  const { watch, asked, tablet } = await tabletWith([last.id])
  await watch.hears('first')
  expect(asked).toEqual([])
  expect(await tablet.life()).toBe('first')
})
test('after it was set back, what it lacks is offered until somebody decides, and sent in its order', async () => {
  const { watch, offered, sent, tablet } = await tabletWith([last.id])
  await watch.hears('second')
  expect(offered.at(-1)).toEqual([last])
  expect(await tablet.life()).toBe('first')
  await watch.sendAgain()
  expect(sent).toEqual([last])
  expect(offered.at(-1)).toEqual([])
  expect(await tablet.life()).toBe('second')
})
test('it can be left as it is', async () => {
  const { watch, sent, tablet } = await tabletWith([last.id])
  await watch.hears('second')
  await watch.leaveThem()
  expect(sent).toEqual([])
  expect(await tablet.life()).toBe('second')
})
test('a server that does not answer is asked again at the next connection', async () => {
  const { watch, asked, tablet } = await tabletWith(null)
  await watch.hears('second')
  await watch.hears('second')
  expect(asked).toHaveLength(4)
  expect(await tablet.life()).toBe('first')
})
test('a server that has all offers nothing', async () => {
  const { watch, offered, tablet } = await tabletWith([])
  await watch.hears('second')
  expect(offered.at(-1)).toEqual([])
  expect(await tablet.life()).toBe('second')
})
