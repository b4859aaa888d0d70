import { english } from '@truelay/words'
import { say, verbatim } from '@truelay/core/say'
import { createServer, type Server } from 'node:http'
import type { AddressInfo } from 'node:net'
import { bladeLog, deviceKinds, learned, liquids, roomNow, shop, wireFailure } from '@truelay/contract'
import { afterEach, beforeEach, describe, expect, test } from 'vitest'
import { DemoServer, noon, said } from './testing/demoServer.ts'
import { smallPlan, smallStep } from '@truelay/contract/testing'

let demo: DemoServer
beforeEach(async () => {
  demo = await new DemoServer().start()
})
afterEach(() => demo.end())
const get = (path: string) => demo.get(`/api${path}`)
const send = (method: string, path: string, body: unknown) => demo.send(method, `/api${path}`, body)
let serial = 0
const uuid = () => `00000000-0000-4000-8000-${String(++serial + 1000).padStart(12, '0')}`

const weakTack = (change: object = {}) => ({
  id: 'batch-a',
  says: verbatim('weak tack'),
  school: 'weak tack',
  strength: { alcoholPercent: 10, soapMlPerL: 0 },
  bottleMl: 1000,
  leftMl: 500,
  waterKind: 'distilled',
  add: [
    { what: 'water', ml: 429 },
    { what: 'alcohol stock', ml: 71 },
  ],
  personId: 'ines',
  ...change,
})

/** Half a litre of weak tack, mixed in the fit of the bonnet. */
const mixed = {
  partId: '0412-bonnet',
  personId: 'ines',
  at: '2030-05-01T09:05:00.000Z',
  kind: 'batchMixed',
  stepId: 'mix',
  batchNumber: '0412.1-1',
  school: 'weak tack',
  says: verbatim('weak tack'),
  batchMl: 500,
  alcoholPercent: 10,
  soapMlPerL: 0,
}

describe('the mixing bench', () => {
  test('a batch is numbered by its day and taken off the supplies, once', async () => {
    const before = liquids.parse((await get('/liquids')).body)
    const mixed = await send('PUT', '/batches/batch-a', weakTack())
    expect(mixed.status).toBe(200)
    expect(mixed.body).toMatchObject({ number: '300501-1', leftMl: 500, emptiedAt: null })
    await send('PUT', '/batches/batch-a', weakTack())
    const second = await send('PUT', '/batches/batch-b', weakTack({ id: 'batch-b' }))
    expect(second.body.number).toBe('300501-2')
    const after = liquids.parse((await get('/liquids')).body)
    const alcohol = (l: typeof after) => l.supplies.find((s) => s.what === 'alcohol stock')?.leftMl ?? 0
    expect(alcohol(before) - alcohol(after)).toBeCloseTo(142, 6)
    expect(after.batches).toHaveLength(before.batches.length + 2)
  })
  test('put right, its level noted, emptied: all in its history', async () => {
    await send('PUT', '/batches/batch-a', weakTack({ strength: { alcoholPercent: 30, soapMlPerL: 0 } }))
    const right = {
      what: 'put right',
      personId: 'tarek',
      strength: { alcoholPercent: 10, soapMlPerL: 0 },
      leftMl: 1000,
      pourOffMl: 167,
      add: [{ what: 'water', ml: 667 }],
      says: verbatim('weak tack'),
      school: 'weak tack',
    }
    expect((await send('POST', '/batches/batch-a/changes', right)).body.strength.alcoholPercent).toBe(10)
    await send('POST', '/batches/batch-a/changes', { what: 'level', personId: 'ines', leftMl: 640 })
    const empty = await send('POST', '/batches/batch-a/changes', { what: 'emptied', personId: 'ines' })
    expect(empty.body.history.map((h: { what: string }) => h.what)).toEqual(['mixed', 'put right', 'level', 'emptied'])
    expect(empty.body.emptiedAt).toBe(noon.toISOString())
    const again = await send('POST', '/batches/batch-a/changes', { what: 'level', personId: 'ines', leftMl: 10 })
    expect(again.status).toBe(422)
    expect(said(again)).toContain('emptied already')
  })
  test.each([
    ['more than the bottle holds', weakTack({ leftMl: 1400 }), 'more than the bottle holds'],
    ['a strength of nonsense', weakTack({ strength: { alcoholPercent: 130, soapMlPerL: 0 } }), 'alcoholPercent'],
    ['water of no kind', weakTack({ waterKind: 'sea' }), 'waterKind'],
  ])('%s is refused and changes nothing', async (_, draft, says) => {
    const before = (await get('/liquids')).body
    const answer = await send('PUT', '/batches/batch-a', draft)
    expect(answer.status).toBe(400)
    expect(JSON.stringify(answer.body)).toContain(says)
    expect((await get('/liquids')).body).toEqual(before)
  })
  test('open jobs say what they still take, from their parts', async () => {
    const { needs } = liquids.parse((await get('/liquids')).body)
    const job = needs.find((n) => n.number === '0412')
    expect(job?.slipMl).toBeGreaterThan(500)
    expect(job?.needs.map((n) => n.what)).toEqual(expect.arrayContaining(['water', 'alcohol stock', 'soap']))
  })
  test('a batch mixed in a fit stands on the bench; what was used of it is learned', async () => {
    const bundle = (await get('/jobs/0412')).body
    expect(bundle.parts[0].id).toBe('0412-bonnet')
    const common = { partId: '0412-bonnet', personId: 'ines' }
    const planned = { use: 'tack', school: 'weak tack', says: verbatim('weak tack'), warnings: [], add: [] }
    const strength = { alcoholPercent: 10, soapMlPerL: 0 }
    const plan = smallPlan([smallStep('mix')], {
      solutions: [{ ...planned, needMl: 200, batchMl: 250, strength }],
    })
    const mixedId = uuid()
    const events = [
      { ...common, id: uuid(), at: '2030-05-01T09:00:00.000Z', kind: 'fitStarted', plan },
      { ...mixed, ...strength, id: mixedId, add: [] },
      {
        ...common,
        ...strength,
        id: uuid(),
        at: '2030-05-01T09:10:00.000Z',
        kind: 'bottleTaken',
        stepId: 'mix',
        use: 'tack',
        batchId: mixedId,
        batchNumber: '0412.1-1',
        says: verbatim('weak tack'),
        asPlanned: true,
      },
    ]
    expect((await send('POST', '/parts/0412-bonnet/fit', events)).status).toBe(200)
    const shelf = liquids.parse((await get('/liquids')).body)
    expect(shelf.batches.find((b) => b.id === mixedId)).toMatchObject({ number: '0412.1-1', school: 'weak tack' })
    expect(shelf.learned).toMatchObject({ factor: 1, uses: 0 })
    await send('POST', `/batches/${mixedId}/changes`, { what: 'level', personId: 'ines', leftMl: 100 })
    const { learned: after } = liquids.parse((await get('/liquids')).body)
    expect(after.uses).toBe(1)
    expect(after.factor).toBeGreaterThan(1.2)
  })
})

describe('a step of mixing that is gone back to', () => {
  const common = { partId: '0412-bonnet', personId: 'ines' }
  const mixedId = '00000000-0000-4000-8000-000000000900'
  const begin = async () => {
    const events = [
      {
        ...common,
        id: uuid(),
        at: '2030-05-01T09:00:00.000Z',
        kind: 'fitStarted',
        plan: smallPlan([smallStep('mix'), smallStep('soak')]),
      },
      { ...mixed, id: mixedId, add: [{ what: 'alcohol stock', ml: 71 }] },
      { ...common, id: uuid(), at: '2030-05-01T09:06:00.000Z', kind: 'stepDone', stepId: 'mix' },
    ]
    expect((await send('POST', '/parts/0412-bonnet/fit', events)).status).toBe(200)
  }
  const goBack = async () => {
    const event = { ...common, id: uuid(), at: '2030-05-01T09:07:00.000Z', kind: 'stepReopened', stepId: 'mix' }
    expect((await send('POST', '/parts/0412-bonnet/fit', [event])).status).toBe(200)
  }
  const shelf = async () => {
    const { supplies, batches } = liquids.parse((await get('/liquids')).body)
    return {
      alcoholMl: supplies.find((s) => s.what === 'alcohol stock')?.leftMl ?? 0,
      bottle: batches.find((b) => b.id === mixedId),
    }
  }
  test('gives its bottle and what was poured back, and leaves the record', async () => {
    const before = await shelf()
    await begin()
    expect((await shelf()).alcoholMl).toBeCloseTo(before.alcoholMl - 71, 6)
    expect((await shelf()).bottle).toBeDefined()
    await goBack()
    expect(await shelf()).toEqual(before)
    const record = (await get('/parts/0412-bonnet/record')).body
    expect(record.lines.batchMixed).toEqual([])
    expect(record.steps).toEqual([])
  })
  test('keeps a bottle that somebody has used since', async () => {
    const before = await shelf()
    await begin()
    await send('POST', `/batches/${mixedId}/changes`, { what: 'level', personId: 'ines', leftMl: 300 })
    await goBack()
    expect((await shelf()).bottle?.leftMl).toBe(300)
    expect((await shelf()).alcoholMl).toBeCloseTo(before.alcoholMl - 71, 6)
  })
})

describe('devices', () => {
  let device: Server
  let address: string
  let says: (res: import('node:http').ServerResponse) => void
  beforeEach(async () => {
    device = createServer((_req, res) => says(res)).listen(0, '127.0.0.1')
    await new Promise((resolve) => device.once('listening', resolve))
    address = `http://127.0.0.1:${(device.address() as AddressInfo).port}/`
    await send('PUT', '/devices', {
      room: address,
      infrared: address,
      forecast: address,
      plotter: null,
      labelPrinter: null,
    })
  })
  afterEach(async () => {
    device.closeAllConnections()
    await new Promise((resolve) => device.close(resolve))
  })
  const json = (value: unknown) => (res: import('node:http').ServerResponse) => {
    res.setHeader('content-type', 'application/json')
    res.end(JSON.stringify(value))
  }

  test('a fresh room sensor counts before what was entered', async () => {
    says = json({ at: noon.toISOString(), temperatureC: 12, humidityPercent: 85 })
    await send('POST', '/room', { temperatureC: 22, humidityPercent: 50 })
    const room = roomNow.parse((await get('/room')).body)
    expect(room.now).toMatchObject({ temperatureC: 12, humidityPercent: 85, source: 'sensor' })
    expect(room.sensor.state).toBe('fresh')
  })
  test.each([
    ['late', { at: '2030-05-01T07:00:00.000Z', temperatureC: 12, humidityPercent: 85 }, 'late', '5 hours old'],
    ['nonsense', { at: noon.toISOString(), temperatureC: 850, humidityPercent: 85 }, 'nonsense', 'cannot be'],
    ['ahead of time', { at: '2030-05-02T12:00:00.000Z', temperatureC: 12, humidityPercent: 85 }, 'nonsense', 'ahead'],
    ['no measurement', { hello: 1 }, 'nonsense', 'no measurement'],
  ])('%s: said, and what was entered counts', async (_, answer, state, words) => {
    says = json(answer)
    await send('POST', '/room', { temperatureC: 22, humidityPercent: 50 })
    const room = roomNow.parse((await get('/room')).body)
    expect(room.now).toMatchObject({ temperatureC: 22, source: 'entered' })
    expect(room.sensor.state).toBe(state)
    expect(english(room.sensor.says)).toContain(words)
  })
  test('silent: asked for two seconds at most, then said', async () => {
    says = () => {}
    const room = roomNow.parse((await get('/room')).body)
    expect(room).toMatchObject({ now: null, sensor: { state: 'silent', says: say`It does not answer.` } })
  })
  test('not JSON, an error, far too much: each said', async () => {
    says = (res) => res.end('<html>')
    expect(deviceKinds.infrared.reading.parse((await get('/devices/infrared/reading')).body).state).toBe('nonsense')
    says = (res) => res.writeHead(500).end()
    expect(english(deviceKinds.infrared.reading.parse((await get('/devices/infrared/reading')).body).says)).toContain(
      '500',
    )
    says = (res) => res.end(`"${'x'.repeat(300_000)}"`)
    expect(english(deviceKinds.infrared.reading.parse((await get('/devices/infrared/reading')).body).says)).toContain(
      'far more',
    )
  })
  test('thermometer and forecast', async () => {
    says = json({ at: noon.toISOString(), surfaceC: 52.5 })
    expect(deviceKinds.infrared.reading.parse((await get('/devices/infrared/reading')).body)).toMatchObject({
      state: 'fresh',
      value: { surfaceC: 52.5 },
    })
    says = json({ issuedAt: noon.toISOString(), hours: [{ at: noon.toISOString(), temperatureC: 9 }] })
    expect(deviceKinds.forecast.reading.parse((await get('/devices/forecast/reading')).body).value?.hours).toHaveLength(
      1,
    )
    says = json({ issuedAt: noon.toISOString(), hours: [{ at: noon.toISOString(), temperatureC: 900 }] })
    expect(deviceKinds.forecast.reading.parse((await get('/devices/forecast/reading')).body)).toMatchObject({
      state: 'nonsense',
      value: null,
    })
  })
  test('an address that is none is refused; taken away, the device is not connected', async () => {
    const wrong = await send('PUT', '/devices', {
      room: 'file:///etc/passwd',
      infrared: null,
      forecast: null,
      plotter: null,
      labelPrinter: null,
    })
    expect(wrong.status).toBe(400)
    await send('PUT', '/devices', { room: null, infrared: null, forecast: null, plotter: null, labelPrinter: null })
    expect(roomNow.parse((await get('/room')).body).sensor.state).toBe('none')
  })
  test('a room of 900 degrees is not entered', async () => {
    expect((await send('POST', '/room', { temperatureC: 900, humidityPercent: 50 })).status).toBe(400)
  })
})

test('the blade book keeps purchases, segments and test cuts, each once', async () => {
  const entry = { id: uuid(), at: noon.toISOString(), personId: 'bo', kind: 'test cut', felt: 'two thirds' }
  await send('POST', '/blades', entry)
  await send('POST', '/blades', entry)
  const log = bladeLog.parse((await get('/blades')).body).strokes
  expect(log.map((e) => e.kind)).toEqual(['bought', 'test cut'])
  expect((await send('POST', '/blades', { ...entry, felt: 'deep' })).status).toBe(400)
})

test('nothing is learned of waits until somebody answers', async () => {
  expect(learned.parse((await get('/learned')).body)).toEqual({ waits: [] })
})

test('answers are learned from, and a finished part has its edge looks in the calendar', async () => {
  const plan = smallPlan([
    smallStep('grab', {
      wait: { label: say`grab`, leastMinutes: 20, kind: 'initialGrab', usualMinutes: 20, factor: 1 },
    }),
  ])
  const common = { partId: '0412-bonnet', personId: 'ines' }
  const answer = {
    ...common,
    kind: 'waitAnswered',
    stepId: 'grab',
    waitKind: 'initialGrab',
    ready: false,
    saidMinutes: 20,
    waitedMinutes: 24,
  }
  await send('POST', '/parts/0412-bonnet/fit', [
    { ...common, id: uuid(), at: '2030-05-01T09:00:00.000Z', kind: 'fitStarted', plan },
    {
      ...common,
      id: uuid(),
      at: '2030-05-01T09:50:00.000Z',
      kind: 'bladeUsed',
      stepId: 'grab',
      fresh: true,
      cutMm: 900,
    },
    {
      ...common,
      id: uuid(),
      at: '2030-05-01T09:55:00.000Z',
      kind: 'problemSeen',
      stepId: 'grab',
      problem: 'haze',
      place: 'nose edge',
      comeBack: true,
      when: 'at the edge look',
    },
    { ...common, id: uuid(), at: '2030-05-01T10:00:00.000Z', kind: 'stepDone', stepId: 'grab' },
    { ...answer, id: uuid(), at: '2030-05-01T10:24:00.000Z' },
    { ...answer, id: uuid(), at: '2030-05-01T10:26:00.000Z', waitedMinutes: 26 },
  ])
  const { waits } = learned.parse((await get('/learned')).body)
  expect(waits).toHaveLength(1)
  expect(waits[0]).toMatchObject({ kind: 'initialGrab', answers: 2 })
  expect(waits[0]?.factor).toBeGreaterThan(1.15)
  expect(bladeLog.parse((await get('/blades')).body).strokes.map((b) => b.kind)).toEqual(['bought', 'segment', 'cut'])
  const calendar = await fetch(demo.address('/api/jobs/0412/edge-looks.ics'))
  expect(calendar.headers.get('content-type')).toContain('text/calendar')
  const text = await calendar.text()
  expect(text.match(/BEGIN:VEVENT/g)).toHaveLength(3)
  expect(text).toContain('DTSTART:20300503T100000Z')
  // What was left to be looked at again is said where it is looked at.
  expect(text.replace(/\r?\n[ \t]/g, '')).toContain('Come back to: haze\\, nose edge.')
})

test('no calendar before a part is finished', async () => {
  const answer = await get('/jobs/0412/edge-looks.ics')
  expect(answer.status).toBe(422)
  expect(said(answer)).toContain('No part of job 0412')
})

describe('the guns of the shop', () => {
  const gunsOf = async () => shop.parse((await get('/shop')).body).guns
  const change = async (id: string, of: object) => (await send('PATCH', '/shop', { guns: { [id]: of } })).status
  const fresh = {
    name: 'Gun',
    spotMm: 110,
    more: [
      { name: '1', outletC: 100 },
      { name: '2', outletC: 300 },
    ],
  }
  test('two settings of a gun cannot have one name', async () => {
    expect(await change('g', fresh)).toBe(200)
    const before = await gunsOf()
    expect(await change('g', { settings: { 1: { name: '2' } } })).toBe(400)
    expect(await change('h', { ...fresh, more: [{ name: '1', outletC: 900 }] })).toBe(400)
    // What is no gun yet cannot be changed, nor called otherwise.
    expect(await change('h', { spotMm: 90 })).toBe(422)
    expect(await change('h', { name: 'Half a gun' })).toBe(422)
    expect(await gunsOf()).toEqual(before)
  })
  test('one that is off the list is not changed any more, in words', async () => {
    expect(await change('sold', fresh)).toBe(200)
    const others = (await gunsOf()).filter(({ id }) => id !== 'sold')
    expect((await send('PATCH', '/shop', { guns: { sold: null } })).status).toBe(200)
    const late = await send('PATCH', '/shop', { guns: { sold: { spotMm: 90 } } })
    expect(late.status).toBe(422)
    expect(said(late)).toContain('off the list meanwhile')
    // As the app reads it, with nothing that it does not know.
    expect(wireFailure.safeParse(late.body).success).toBe(true)
    expect(await gunsOf()).toEqual(others)
  })
  test('what is changed at the same time all counts', async () => {
    expect(await change('both', fresh)).toBe(200)
    const answers = await Promise.all([
      change('both', { settings: { 1: { name: 'low' } } }),
      change('both', { settings: { 2: { outletC: 320 } } }),
      change('both', { more: [{ name: '3', outletC: 450 }] }),
      change('both', { spotMm: 80 }),
      change('another', fresh),
    ])
    expect(answers).toEqual([200, 200, 200, 200, 200])
    const guns = await gunsOf()
    expect(guns.map(({ id }) => id)).toContain('another')
    expect(guns.find(({ id }) => id === 'both')).toMatchObject({
      spotMm: 80,
      settings: [
        { name: 'low', outletC: 100 },
        { name: '2', outletC: 320 },
        { name: '3', outletC: 450 },
      ],
    })
  })
})
