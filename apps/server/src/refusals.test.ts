import { say } from '@truelay/core/say'
import { sql } from 'drizzle-orm'
import { readFileSync } from 'node:fs'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { DemoServer } from './testing/demoServer.ts'

let demo: DemoServer
beforeAll(async () => {
  demo = await new DemoServer().start()
})
afterAll(() => demo.end())

const read = (file: string) => JSON.parse(readFileSync(new URL(`../../../demo/${file}`, import.meta.url), 'utf8'))
const id = (n: number) => `00000000-0000-4000-8000-${String(n).padStart(12, '0')}`
const at = '2030-05-01T09:00:00.000Z'

/** Everything that is stored, table by table. */
async function everything(): Promise<unknown> {
  const { read } = demo.database
  const tables = await read.all<{ name: string }>(
    sql`select name from sqlite_master where type = 'table' order by name`,
  )
  return Promise.all(
    tables
      .filter(({ name }) => !name.startsWith('sqlite_') && !name.startsWith('__'))
      .map(async ({ name }) => [name, await read.all(sql.raw(`select * from "${name}"`))]),
  )
}

/** Asked of the server, it is refused in a sentence with what to do, and nothing that is stored has changed. */
async function refused(method: string, path: string, body: unknown) {
  const before = await everything()
  const answer = await demo.send(method, `/api${path}`, body)
  expect(answer.status, JSON.stringify(answer.body)).toBeGreaterThanOrEqual(400)
  expect(answer.status).toBeLessThan(500)
  expect(answer.body.sentence).toSay(/\S/)
  expect(answer.body.fix).toSay(/\S/)
  expect(await everything()).toEqual(before)
  return answer
}

interface Route {
  readonly method: 'POST' | 'PUT' | 'PATCH'
  readonly path: string
  readonly good: Readonly<Record<string, unknown>>
  /** Fields that may be left out. */
  readonly optional?: readonly string[]
  /** A body that is sent as a list of one. */
  readonly inList?: boolean
}

const routes: readonly Route[] = [
  {
    method: 'POST',
    path: '/jobs',
    good: {
      customer: 'Private owner',
      modelId: 'velmora-pipit',
      year: null,
      colour: 'signal white',
      plate: 'QF 900',
      bay: 'Bay 1',
      personId: 'ines',
      arrivesAt: '2030-05-02T08:00:00.000Z',
      dueAt: '2030-05-03T16:00:00.000Z',
      parts: [{ slot: 'bonnet', name: 'Bonnet', filmId: 'clearcoat-hull-180' }],
    },
  },
  { method: 'POST', path: '/models', good: { name: 'Corvid Wren', kind: 'van' } },
  {
    method: 'PUT',
    path: `/jobs/0412/findings/${id(1)}`,
    good: {
      partId: '0412-bonnet',
      slot: 'bonnet',
      kind: 'chip',
      at: [0.5, 0.5],
      sizeMm: 5,
      note: '',
      photos: [],
      personId: 'ines',
      foundAt: at,
    },
  },
  { method: 'PUT', path: '/jobs/0412/sign-off', good: { name: 'R. Holm', strokes: [[0.1, 0.2, 0.3, 0.4]] } },
  {
    method: 'PUT',
    path: '/jobs/0412/kit-check/pipit-bonnet-piece',
    good: { arrived: 1, lot: 'H180-2611-04', personId: 'ines' },
  },
  { method: 'PUT', path: '/parts/0412-bonnet/shift', good: { xMm: 1, yMm: 0, turnDeg: 0 } },
  {
    method: 'PUT',
    path: '/parts/0412-bonnet/choices',
    good: { ends: { nose: 'wrap' }, liquids: null, cut: null, hands: 1, light: null },
  },
  {
    method: 'PUT',
    path: '/jobs/0412/sets',
    good: { sets: [{ mode: 'to and fro', partIds: ['0412-bonnet', '0412-headlamp-left'] }] },
  },
  { method: 'PUT', path: '/parts/0412-bonnet/form', good: { formId: 'pipit-bonnet' } },
  { method: 'PUT', path: '/parts/0412-bonnet/piece', good: { pieceId: 'pipit-bonnet-piece' } },
  {
    method: 'PUT',
    path: '/forms/pipit-bonnet',
    good: read('forms/pipit-bonnet.json'),
    optional: ['channels', 'raised', 'obstacles', 'opens'],
  },
  {
    method: 'PUT',
    path: '/films/clearcoat-hull-180',
    good: read('films/clearcoat-hull-180.json'),
    optional: ['patterned', 'transmission'],
  },
  { method: 'PUT', path: '/pieces/pipit-bonnet-piece', good: read('pieces/pipit-bonnet-piece.json') },
  { method: 'PUT', path: '/kits/pipit-front-kit', good: read('kits/pipit-front-kit.json') },
  {
    method: 'PUT',
    path: `/batches/${id(2)}`,
    good: {
      id: id(2),
      says: say`light slip`,
      school: 'light slip',
      strength: { alcoholPercent: 0, soapMlPerL: 1.3 },
      bottleMl: 1000,
      leftMl: 1000,
      waterKind: 'distilled',
      add: [{ what: 'water', ml: 999 }],
      personId: 'ines',
    },
  },
  { method: 'PUT', path: '/supplies', good: { what: 'soap', leftMl: 500 } },
  { method: 'POST', path: '/room', good: { temperatureC: 20, humidityPercent: 50 } },
  { method: 'PUT', path: '/devices', good: { room: null, infrared: null, forecast: null } },
  {
    method: 'POST',
    path: '/parts/0412-bonnet/fit',
    inList: true,
    good: { id: id(3), partId: '0412-bonnet', personId: 'ines', at, kind: 'stepDone', stepId: 'wash' },
  },
]

const sent = ({ inList }: Route, body: unknown) => (inList === true ? [body] : body)

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
    ['PUT', '/devices', { room: 'sensor', infrared: null, forecast: null }, /http/],
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
    const done = { ...event, id: id(26), kind: 'stepDone', stepId: 'wash' }
    expect((await send(done)).body).toEqual({ stored: [id(26)], known: [] })
    expect((await send(done)).body).toEqual({ stored: [], known: [id(26)] })
  })
})
