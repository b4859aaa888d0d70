import { smallPlan, smallStep } from '@truelay/contract/testing'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { DemoServer } from './testing/demoServer.ts'
import { at, id, sent, writeRoutes as routes } from './testing/writeRoutes.ts'

let demo: DemoServer
beforeAll(async () => {
  demo = await new DemoServer().start()
})
afterAll(() => demo.end())

/** Asked of the server, it is refused in a sentence with what to do, and nothing that is stored has changed. */
async function refused(method: string, path: string, body: unknown) {
  const before = await demo.everything()
  const answer = await demo.send(method, `/api${path}`, body)
  expect(answer.status, JSON.stringify(answer.body)).toBeGreaterThanOrEqual(400)
  expect(answer.status).toBeLessThan(500)
  expect(answer.body.sentence).toSay(/\S/)
  expect(answer.body.fix).toSay(/\S/)
  expect(await demo.everything()).toEqual(before)
  return answer
}

describe.each(routes.map((route) => [`${route.method} ${route.path}`, route] as const))('%s', (_, route) => {
  const { method, path, good, optional = [] } = route
  test('a field that is missing is named', async () => {
    for (const key of Object.keys(good).filter((k) => !optional.includes(k))) {
      const { [key]: _left, ...rest } = good
      // The id of a document stands in its address too.
      if (key === 'id' && path.endsWith(String(good.id))) continue
      await refused(method, path, sent(route, rest))
    }
  })
  test('a field of another kind is refused', async () => {
    for (const key of Object.keys(good)) {
      if (key === 'id' && path.endsWith(String(good.id))) continue
      await refused(method, path, sent(route, { ...good, [key]: { nonsense: true } }))
    }
  })
  test('a field that nobody knows is refused, and named', async () => {
    const { body } = await refused(method, path, sent(route, { ...good, colourOfTheSky: 'grey' }))
    expect(JSON.stringify(body)).toContain('colourOfTheSky')
  })
  test('nothing, a text and half a document are refused', async () => {
    for (const body of ['', '"blue"', '[', '{', 'null', '[]', '7']) await refused(method, path, body)
  })
  test('what is right is taken', async () => {
    const answer = await demo.send(method, `/api${path}`, sent(route, good))
    expect(answer.status, JSON.stringify(answer.body)).toBeLessThan(300)
  })
})

describe('figures out of their bounds', () => {
  test.each<[string, string, unknown, RegExp]>([
    ['PUT', '/parts/0412-bonnet/shift', { xMm: 1e9, yMm: 0, turnDeg: 0 }, /xMm/],
    ['PUT', '/parts/0412-bonnet/shift', { xMm: 0, yMm: 0, turnDeg: 400 }, /turnDeg/],
    ['POST', '/room', { temperatureC: 900, humidityPercent: 50 }, /temperatureC/],
    ['POST', '/room', { temperatureC: 20, humidityPercent: 101 }, /humidityPercent/],
    ['PUT', '/supplies', { what: 'soap', leftMl: -1 }, /leftMl/],
    ['PUT', '/supplies', { what: 'gin', leftMl: 1 }, /what/],
    ['PATCH', '/shop', { practice: { wrapLeast: 99 } }, /99/],
    ['PATCH', '/shop', { practice: { nothing: 1 } }, /nothing/],
    ['PATCH', '/shop', { stockAlcoholPercent: 0 }, /stockAlcoholPercent/],
    ['PATCH', '/shop', { units: { length: 'furlong', temperature: 'C', volume: 'mL' } }, /units/],
    ['PUT', '/jobs/0412/kit-check/pipit-bonnet-piece', { arrived: -1, lot: 'x', personId: 'ines' }, /arrived/],
    ['PUT', '/devices', { room: 'sensor', infrared: null, forecast: null, plotter: null, labelPrinter: null }, /http/],
  ])('%s %s %j says where', async (method, path, body, where) => {
    const { body: answer } = await refused(method, path, body)
    expect(JSON.stringify(answer)).toMatch(where)
  })
})

describe('what does not exist', () => {
  test.each([
    ['PUT', '/parts/0412-roof/shift', { xMm: 1, yMm: 0, turnDeg: 0 }],
    ['PUT', '/parts/0412-bonnet/form', { formId: 'none' }],
    ['PUT', '/parts/0412-bonnet/piece', { pieceId: 'none' }],
    ['PUT', '/jobs/9999/kit-check/pipit-bonnet-piece', { arrived: 1, lot: 'x', personId: 'ines' }],
    ['PUT', '/jobs/0412/kit-check/none', { arrived: 1, lot: 'x', personId: 'ines' }],
    ['POST', `/batches/${id(77)}/changes`, { what: 'emptied', personId: 'ines' }],
    [
      'POST',
      '/parts/0412-roof/fit',
      [{ id: id(8), partId: '0412-roof', personId: 'ines', at, kind: 'stepDone', stepId: 'wash' }],
    ],
  ])('%s %s is refused with where to look', async (method, path, body) => {
    await refused(method, path, body)
  })
  test.each([
    '/jobs/9999',
    '/jobs/9999/walk-round',
    '/jobs/9999/kit-check',
    '/forms/none',
    '/photos/none',
    '/parts/none/record',
  ])('GET %s says so', async (path) => {
    const answer = await demo.get(`/api${path}`)
    expect(answer.status).toBeGreaterThanOrEqual(400)
    expect(answer.status).toBeLessThan(500)
    expect(answer.body.sentence).toSay(/\S/)
  })
  test('an address of no route says so, in the words of the app', async () => {
    const answer = await demo.get('/api/nowhere')
    expect(answer.status).toBe(404)
    expect(answer.body.sentence).toSay(/\S/)
  })
})

describe('events of a fit', () => {
  const event = { partId: '0412-headlamp-left', personId: 'ines', at }
  const send = (...events: object[]) => demo.send('POST', '/api/parts/0412-headlamp-left/fit', events)
  test('of another part than the address says are refused whole', async () => {
    await refused('POST', '/parts/0412-headlamp-left/fit', [
      { ...event, id: id(20), kind: 'stepDone', stepId: 'wash' },
      { ...event, partId: '0412-bonnet', id: id(21), kind: 'stepDone', stepId: 'wash' },
    ])
  })
  test('of somebody who does not work here are refused', async () => {
    await refused('POST', '/parts/0412-headlamp-left/fit', [
      { ...event, personId: 'nobody', id: id(22), kind: 'stepDone', stepId: 'wash' },
    ])
  })
  test('one bad one among good ones keeps all of them out', async () => {
    await refused('POST', '/parts/0412-headlamp-left/fit', [
      { ...event, id: id(23), kind: 'stepDone', stepId: 'wash' },
      { ...event, id: id(24), kind: 'stepDone' },
    ])
  })
  test('of no kind that there is are refused', async () => {
    await refused('POST', '/parts/0412-headlamp-left/fit', [{ ...event, id: id(25), kind: 'teaDrunk', stepId: 'wash' }])
  })
  test('sent twice are stored once', async () => {
    const begun = { ...event, id: id(26), kind: 'fitStarted', plan: smallPlan([smallStep('wash')]) }
    expect((await send(begun)).body).toEqual({ stored: [id(26)], known: [], tooLate: [] })
    expect((await send(begun)).body).toEqual({ stored: [], known: [id(26)], tooLate: [] })
  })
})
