import { verbatim } from '@truelay/core/say'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { DemoServer } from '../testing/demoServer.ts'
import { at, id, sent, writeRoutes } from '../testing/writeRoutes.ts'

let demo: DemoServer
beforeAll(async () => {
  demo = await new DemoServer().start()
})
afterAll(() => demo.end())

const event = { partId: '0412-bonnet', personId: 'ines', at }
const mixed = {
  ...event,
  id: id(301),
  kind: 'batchMixed',
  stepId: 'mix',
  batchNumber: '0412-7',
  says: verbatim('light slip'),
  school: 'light slip',
  batchMl: 500,
  alcoholPercent: 0,
  soapMlPerL: 1.3,
  add: [
    { what: 'water', ml: 499 },
    { what: 'soap', ml: 1 },
  ],
}
const exercised = writeRoutes.find((route) => route.path === '/exercises')?.good
const stroke = { id: id(302), at, personId: 'ines', kind: 'bought', segments: 10 }

const findingRoute = writeRoutes.find((route) => route.path.includes('/findings/'))

interface Write {
  readonly method: string
  readonly path: string
  readonly body: unknown
  /** Another body that would be right as well. */
  readonly other?: unknown
}

/** Writes of every route, and those that touch several tables. */
const writes: readonly Write[] = [
  ...writeRoutes
    .filter(({ inSteps = false }) => !inSteps)
    .map((route) => ({ method: route.method, path: route.path, body: sent(route, route.good) })),
  { method: 'PUT', path: '/parts/0412-bonnet/order', body: { chosen: null } },
  {
    method: 'POST',
    path: '/parts/0412-bonnet/fit',
    body: [mixed, { ...event, id: id(303), kind: 'stepDone', stepId: 'mix' }],
  },
  { method: 'POST', path: `/batches/${id(301)}/changes`, body: { what: 'level', personId: 'ines', leftMl: 400 } },
  { method: 'POST', path: '/blades', body: stroke },
  // What the customer has signed cannot be taken away, what came later can.
  { method: 'PUT', path: `/jobs/0412/findings/${id(304)}`, body: findingRoute?.good },
  { method: 'DELETE', path: `/jobs/0412/findings/${id(304)}`, body: {} },
]

/** Sends a write again and again under one id, the power cut one statement later each time, until it gets through. */
async function untilThrough({ method, path, body }: Write, writeId: string) {
  const states = [await demo.everything()]
  for (let cutAt = 1; cutAt < 200; cutAt++) {
    let left = cutAt
    demo.onStatement = () => {
      left--
      if (left <= 0) throw new Error('power cut')
    }
    const answer = await demo.send(method, `/api${path}`, body, writeId)
    demo.onStatement = () => {}
    if (left > 0) return { cuts: cutAt - 1, answer, states }
    expect(answer.status, `cut at statement ${cutAt}: ${JSON.stringify(answer.body)}`).toBe(500)
    states.push(await demo.everything())
  }
  throw new Error('it never gets through')
}

describe.each(writes.map((write, i) => [`${write.method} ${write.path}`, write, id(1000 + i)] as const))(
  '%s',
  (_, write, writeId) => {
    test('cut off at any of its statements leaves everything as it was; sent again it counts once', async () => {
      const { cuts, answer, states } = await untilThrough(write, writeId)
      expect(answer.status, JSON.stringify(answer.body)).toBeLessThan(300)
      // It looks whether it was done before, does something, and keeps its answer.
      expect(cuts).toBeGreaterThanOrEqual(3)
      const after = await demo.everything()
      // All of it or nothing; all of it only where the cut came after the write, while its answer was made.
      for (const state of states) expect([states[0], after]).toContainEqual(state)
      expect(states.slice(0, 3)).toEqual([states[0], states[0], states[0]])
      const again = await demo.send(write.method, `/api${write.path}`, write.body, writeId)
      expect(again).toEqual(answer)
      expect(await demo.everything()).toEqual(after)
      const other = await demo.send(write.method, `/api${write.path}`, { something: 'else' }, writeId)
      expect(other).toMatchObject({ status: 422, body: { code: 'WRITE_ID_TAKEN' } })
      expect(await demo.everything()).toEqual(after)
    })
  },
)

describe('an id of a thing says one thing only', () => {
  const send = (method: string, path: string, body: unknown) => demo.send(method, `/api${path}`, body)
  test.each([
    ['an event that was another one', 'POST', '/parts/0412-bonnet/fit', [{ ...mixed, batchMl: 600 }], 'EVENT_ID_TAKEN'],
    [
      'an event of another part',
      'POST',
      '/parts/0412-headlamp-left/fit',
      [{ ...mixed, partId: '0412-headlamp-left' }],
      'EVENT_ID_TAKEN',
    ],
    ['an exercise that was another one', 'POST', '/exercises', { ...exercised, share: 0.1 }, 'EXERCISE_ID_TAKEN'],
    ['a stroke that was another one', 'POST', '/blades', { ...stroke, segments: 20 }, 'STROKE_ID_TAKEN'],
  ])('%s is refused aloud, and changes nothing', async (_, method, path, body, code) => {
    const before = await demo.everything()
    expect(await send(method, path, body)).toMatchObject({ status: 422, body: { code } })
    expect(await demo.everything()).toEqual(before)
  })
  test('two events of one request under one id are refused, and neither is kept', async () => {
    const twice = [
      { ...event, id: id(320), kind: 'stepDone', stepId: 'wash' },
      { ...event, id: id(320), kind: 'stepDone', stepId: 'mix' },
    ]
    const before = await demo.everything()
    expect(await send('POST', '/parts/0412-bonnet/fit', twice)).toMatchObject({ body: { code: 'EVENT_ID_TAKEN' } })
    expect(await demo.everything()).toEqual(before)
  })
  test('a finding of another job is refused, and a bottle that was mixed otherwise', async () => {
    const finding = findingRoute?.good
    await send('PUT', `/jobs/0412/findings/${id(330)}`, finding)
    const elsewhere = { ...finding, partId: null }
    expect(await send('PUT', `/jobs/0413/findings/${id(330)}`, elsewhere)).toMatchObject({
      status: 422,
      body: { code: 'FINDING_ELSEWHERE' },
    })
    const bottle = writeRoutes.find((r) => r.path.startsWith('/batches/'))
    expect(await send('PUT', bottle?.path ?? '', { ...bottle?.good, bottleMl: 2000 })).toMatchObject({
      status: 422,
      body: { code: 'BATCH_ID_TAKEN' },
    })
  })
  test('a write without an id of its own is refused', async () => {
    for (const writeId of ['', 'seven']) {
      const answer = await demo.send('PATCH', '/api/shop', { theme: 'bay' }, writeId)
      expect(answer).toMatchObject({ status: 422, body: { code: 'WRITE_WITHOUT_ID' } })
    }
  })
})

test('a bottle whose event is kept stands on the bench, and one that cannot stand there keeps its event out', async () => {
  const before = await demo.everything()
  const endless = { ...mixed, id: id(340), stepId: 'wash', batchNumber: 'x'.repeat(31) }
  const answer = await demo.send('POST', '/api/parts/0412-bonnet/fit', [endless])
  expect(answer.status).toBe(400)
  expect(await demo.everything()).toEqual(before)
  const { batches } = (await demo.get('/api/liquids')).body
  expect(batches.map((b: { id: string }) => b.id)).toContain(id(301))
})

test('a bottle that is written up more often than its notes go stays on the bench, with how it began and what came last', async () => {
  const path = `/api/batches/${id(301)}/changes`
  for (let n = 0; n < 205; n++)
    expect((await demo.send('POST', path, { what: 'level', personId: 'ines', leftMl: 300 - n })).status).toBe(200)
  const { batches } = (await demo.get('/api/liquids')).body
  const bottle = batches.find((b: { id: string }) => b.id === id(301))
  expect(bottle.history.length).toBe(200)
  expect(bottle.history[0].what).toBe('mixed')
  expect(bottle.history.at(-1).leftMl).toBe(96)
})
