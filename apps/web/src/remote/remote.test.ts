import { english } from '@truelay/words'
import { name, say } from '@truelay/core/say'
import type { FitEvent, PartId, PersonId } from '@truelay/contract'
import { describe, expect, test } from 'vitest'
import { writeIds } from './baseQuery.ts'
import { failureOf } from './failureOf.ts'
import {
  eventsHappened,
  eventsConfirmed,
  eventsFound,
  outboxSlice,
  partRefused,
  setAside,
  serverAway,
} from './outboxSlice.ts'

const event = (id: string): FitEvent => ({
  id,
  partId: 'p' as PartId,
  personId: 'ines' as PersonId,
  at: '2030-05-01T09:00:00.000Z',
  kind: 'stepDone',
  stepId: 'wash',
})
const reduce = outboxSlice.reducer
const empty = reduce(undefined, { type: 'begin' })

describe('the outbox', () => {
  test('events wait in the order in which they happened', () => {
    const state = [event('a'), event('b')].reduce((s, e) => reduce(s, eventsHappened([e])), empty)
    expect(state.waiting.map((e) => e.id)).toEqual(['a', 'b'])
  })
  test('what a reload finds on the tablet comes before what happened since, and nothing twice', () => {
    const since = reduce(empty, eventsHappened([event('c')]))
    const state = reduce(since, eventsFound([event('a'), event('b'), event('c')]))
    expect(state.waiting.map((e) => e.id)).toEqual(['a', 'b', 'c'])
  })
  test('what the server confirms is gone, and the server is there again', () => {
    const away = reduce(reduce(reduce(empty, eventsHappened([event('a')])), eventsHappened([event('b')])), serverAway())
    expect(away.reach).toBe('away')
    const state = reduce(away, eventsConfirmed({ partId: 'p' as PartId, ids: ['a'] }))
    expect(state).toMatchObject({ reach: 'reached' })
    expect(state.waiting.map((e) => e.id)).toEqual(['b'])
  })
})

const nobody = say`Nobody here is called "${name('zed')}".`
const p = 'p' as PartId
test('what the server refuses of a part stays, with its reason, until it is taken', () => {
  const refusedOnce = reduce(reduce(empty, eventsHappened([event('a')])), partRefused({ partId: p, says: nobody }))
  expect(refusedOnce).toMatchObject({ refusals: { p: nobody }, reach: 'reached' })
  expect(refusedOnce.waiting.length).toBe(1)
  expect(reduce(refusedOnce, eventsConfirmed({ partId: p, ids: ['a'] }))).toMatchObject({ refusals: {}, waiting: [] })
})
test('what does not count waits no longer, and is kept beside with why; the refusal of its part goes with the last of it', () => {
  const refusedOnce = reduce(
    reduce(empty, eventsHappened([event('a'), event('b')])),
    partRefused({ partId: p, says: nobody }),
  )
  const item = { key: 'a', says: nobody, event: event('a'), seen: false }
  const one = reduce(refusedOnce, setAside([item]))
  expect(one).toMatchObject({ aside: [item], refusals: { p: nobody } })
  expect(one.waiting.map((e) => e.id)).toEqual(['b'])
  const both = reduce(
    one,
    setAside([
      { ...item, key: 'b' },
      { ...item, seen: true },
    ]),
  )
  expect(both).toMatchObject({ waiting: [], refusals: {} })
  expect(both.aside.map(({ key, seen }) => [key, seen])).toEqual([
    ['a', true],
    ['b', false],
  ])
})

describe('failed requests as sentences', () => {
  test('the server’s own words go before any other', () => {
    const data = { code: 'NOT_FOUND', sentence: say`There is no job "${name('9')}".`, fix: say`Go to the bay.` }
    expect(failureOf({ status: 404, data })).toEqual(data)
  })
  test('a server that is away is said to be away', () => {
    expect(english(failureOf({ status: 'FETCH_ERROR', error: 'x' }).sentence)).toContain('does not answer')
  })
  test('an answer that does not fit its schema is not shown as if it did', () => {
    expect(english(failureOf({ status: 200, data: { odd: true } }).sentence)).toContain('does not understand')
    expect(english(failureOf(undefined).fix)).toContain('Reload')
  })
})

describe('the ids of writes', () => {
  const counted = () => {
    let made = 0
    return writeIds(() => `id-${++made}`)
  }
  test('what was not answered is sent again under its id, what was answered under a new one', () => {
    const ids = counted()
    const job = ['POST', 'jobs', { customer: 'Private owner' }]
    expect(ids.idOf(job)).toBe('id-1')
    expect(ids.idOf([...job])).toBe('id-1')
    ids.answered(job)
    expect(ids.idOf(job)).toBe('id-2')
  })
  test('another address or another body is another write', () => {
    const ids = counted()
    const all = [
      ['PUT', 'parts/a/shift', { xMm: 1 }],
      ['PUT', 'parts/a/shift', { xMm: 2 }],
      ['PUT', 'parts/b/shift', { xMm: 1 }],
    ].map((write) => ids.idOf(write))
    expect(new Set(all).size).toBe(3)
  })
  test('of very many only the latest are remembered', () => {
    const ids = counted()
    for (let n = 0; n < 150; n++) ids.idOf(['PUT', 'shop', n])
    expect(ids.idOf(['PUT', 'shop', 149])).toBe('id-150')
    expect(ids.idOf(['PUT', 'shop', 0])).toBe('id-151')
  })
})
