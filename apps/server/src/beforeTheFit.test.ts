import { verbatim } from '@truelay/core/say'
import { readFileSync } from 'node:fs'
import { formDoc, idFromName, jobBundle, kitCheck, shelf, walkRound } from '@truelay/contract'
import { usualHandling } from '@truelay/core/lay'
import { sql } from 'drizzle-orm'
import { afterEach, beforeEach, describe, expect, test } from 'vitest'
import { DemoServer, said } from './testing/demoServer.ts'

let demo: DemoServer
beforeEach(async () => {
  demo = await new DemoServer().start()
})
afterEach(() => demo.end())

const ask = (method: string, path: string, body?: unknown) =>
  method === 'GET' ? demo.get(path) : demo.send(method, path, body)
let serial = 0
const found = (more: object = {}) => ({
  id: `00000000-0000-4000-8000-${String(++serial).padStart(12, '0')}`,
  partId: '0412-bonnet',
  slot: 'bonnet',
  kind: 'coating',
  at: [0.4, 0.6],
  sizeMm: null,
  note: '',
  photos: [],
  personId: 'ines',
  foundAt: '2030-05-01T09:00:00.000Z',
  ...more,
})
const keep = ({ id, ...draft }: ReturnType<typeof found>, job = '0412') =>
  ask('PUT', `/api/jobs/${job}/findings/${id}`, draft)
const signed = { name: 'M. Sandvik', strokes: [[0.1, 0.2, 0.3, 0.4]] }

describe('findings', () => {
  test('are kept once however often they are sent, and stand in the bundle that plans the parts', async () => {
    const coating = found()
    await keep(coating)
    expect((await keep({ ...coating, note: 'edges too' } as never)).status).toBe(200)
    const bundle = jobBundle.parse((await ask('GET', '/api/jobs/0412')).body)
    expect(bundle.findings.map((f) => [f.kind, f.note, f.later])).toEqual([['coating', 'edges too', false]])
  })
  test('signed ones are locked; what comes later is marked so; nobody signs twice', async () => {
    const first = found()
    await keep(first)
    expect((await ask('PUT', '/api/jobs/0412/sign-off', signed)).body).toMatchObject({ findingIds: [first.id] })
    expect((await keep({ ...first, note: 'changed' } as never)).body).toMatchObject({ code: 'FINDING_SIGNED' })
    expect((await ask('DELETE', `/api/jobs/0412/findings/${first.id}`)).status).toBe(422)
    expect((await keep(found({ kind: 'dent' }))).body).toMatchObject({ later: true })
    expect((await ask('PUT', '/api/jobs/0412/sign-off', signed)).body).toMatchObject({ code: 'SIGNED_ALREADY' })
    const walk = walkRound.parse((await ask('GET', '/api/jobs/0412/walk-round')).body)
    expect(walk.findings.map((f) => f.later)).toEqual([false, true])
    expect(walk.signOff?.name).toBe('M. Sandvik')
  })
  test('of the same vehicle before are shown with it, those of others are not', async () => {
    const { earlier } = walkRound.parse((await ask('GET', '/api/jobs/0412/walk-round')).body)
    expect(earlier.map((visit) => [visit.number, visit.findings.length])).toEqual([['0388', 2]])
    expect(walkRound.parse((await ask('GET', '/api/jobs/0413/walk-round')).body).earlier).toEqual([])
  })
  test('on a part of another job, of an unknown kind, or off the part are refused and change nothing', async () => {
    expect((await keep(found({ partId: '0413-01' }))).status).toBe(404)
    expect((await keep(found({ kind: 'gremlins' }))).status).toBe(400)
    expect((await keep(found({ at: [1.4, 0] }))).body.where).toBe('at[0]')
    expect((await keep(found({ partId: null }), '9999')).status).toBe(404)
    expect(walkRound.parse((await ask('GET', '/api/jobs/0412/walk-round')).body).findings).toEqual([])
  })
})

describe('photos', () => {
  const jpeg = (place: string) => {
    const exif = new TextEncoder().encode(place)
    return Uint8Array.from([
      ...[0xff, 0xd8, 0xff, 0xe1, 0, exif.length + 2, ...exif],
      ...[0xff, 0xc0, 0, 11, 8, 0, 100, 0, 150, 1, 1, 0x11, 0, 0xff, 0xda, 0, 8, 1, 1, 0, 0, 63, 0, 7, 7, 0xff, 0xd9],
    ])
  }
  const send = async (bytes: Uint8Array) => {
    const res = await fetch(demo.address('/api/photos'), {
      method: 'POST',
      headers: { 'content-type': 'image/jpeg' },
      body: new Uint8Array(bytes),
    })
    return { status: res.status, body: await res.json() }
  }
  test('are kept once, without where they were taken', async () => {
    const one = await send(jpeg('harbour 53.5 N'))
    expect(one).toMatchObject({ status: 201, body: { widthPx: 150, heightPx: 100 } })
    expect((await send(jpeg('another place'))).body.id).toBe(one.body.id)
    const back = await fetch(`${demo.address('')}/api/photos/${one.body.id}`)
    expect(back.headers.get('content-type')).toBe('image/jpeg')
    expect(back.headers.get('cache-control')).toContain('immutable')
    expect(new TextDecoder('latin1').decode(await back.arrayBuffer())).not.toContain('harbour')
  })
  test('that are none are refused; strange names find nothing', async () => {
    expect((await send(new TextEncoder().encode('<svg/>'))).body).toMatchObject({ code: 'JPEG_BROKEN' })
    expect((await send(new Uint8Array(7_000_000))).status).toBe(413)
    expect((await fetch(`${demo.address('')}/api/photos/..%2f..%2ftruelay.sqlite`)).status).toBe(404)
    expect((await fetch(`${demo.address('')}/api/photos/${'0'.repeat(64)}`)).status).toBe(404)
  })
})

describe('a new job', () => {
  const draft = (more: object = {}) => ({
    customer: 'Private owner',
    modelId: 'velmora-pipit',
    year: 2024,
    colour: 'white',
    plate: 'AB 1',
    bay: 'Bay 1',
    personId: 'ines',
    arrivesAt: '2030-05-01T08:00:00.000Z',
    dueAt: '2030-05-02T08:00:00.000Z',
    parts: [
      { slot: 'bonnet', name: 'Bonnet', filmId: 'clearcoat-hull-180' },
      { slot: 'roof', name: 'Roof', filmId: 'clearcoat-hull-180' },
    ],
    ...more,
  })
  test('takes the next number, and the forms and pieces that its model knows', async () => {
    const made = await ask('POST', '/api/jobs', draft())
    expect(made).toMatchObject({ status: 201, body: { number: '0416' } })
    const bundle = jobBundle.parse((await ask('GET', '/api/jobs/0416')).body)
    expect(bundle.parts.map((p) => [p.name, p.formId, p.pieceId])).toEqual([
      ['Bonnet', 'pipit-bonnet', 'pipit-bonnet-piece'],
      ['Roof', null, null],
    ])
    expect(bundle.kits.map((k) => k.id)).toEqual(['pipit-front-kit'])
  })
  test.each([
    ['leaves before it comes', { dueAt: '2030-05-01T07:00:00.000Z' }, 400, 'leave after it has come'],
    ['has no parts', { parts: [] }, 400, 'parts'],
    ['is of no known model', { modelId: 'nobody' }, 404, 'no model'],
    ['is for nobody', { personId: 'zed' }, 404, 'Nobody here'],
    ['wants film that is not there', { parts: [{ slot: 'roof', name: 'Roof', filmId: 'gold' }] }, 404, 'no film'],
  ])('that %s is refused and changes nothing', async (_, wrong, status, words) => {
    const answer = await ask('POST', '/api/jobs', draft(wrong))
    expect(answer.status).toBe(status)
    expect(`${answer.body.where} ${said(answer)}`).toContain(words)
    expect((await ask('GET', '/api/jobs/0416')).status).toBe(404)
  })
  test('a model is added with every part of its kind, and only once', async () => {
    const made = await ask('POST', '/api/models', { name: 'Selwick Tern', kind: 'saloon' })
    expect(made).toMatchObject({ status: 201, body: { id: 'selwick-tern', kind: 'saloon' } })
    expect(made.body.parts.length).toBeGreaterThan(20)
    expect((await ask('POST', '/api/models', { name: 'selwick tern', kind: 'van' })).body).toMatchObject({
      code: 'MODEL_EXISTS',
    })
  })
})

describe('kits and patterns', () => {
  test('what was counted stands, with its lot; strange pieces are refused', async () => {
    const counted = { arrived: 2, lot: 'DG-7', personId: 'ines' }
    expect((await ask('PUT', '/api/jobs/0412/kit-check/pipit-headlamp-left-piece', counted)).status).toBe(200)
    await ask('PUT', '/api/jobs/0412/kit-check/pipit-headlamp-left-piece', { ...counted, arrived: 1 })
    expect((await ask('PUT', '/api/jobs/0412/kit-check/no-such', counted)).status).toBe(404)
    expect((await ask('PUT', '/api/jobs/0412/kit-check/pipit-bonnet-piece', { ...counted, arrived: -1 })).status).toBe(
      400,
    )
    const check = kitCheck.parse((await ask('GET', '/api/jobs/0412/kit-check')).body)
    expect(check.arrived.map((a) => [a.pieceId, a.arrived, a.lot])).toEqual([['pipit-headlamp-left-piece', 1, 'DG-7']])
  })
  test('a piece is replaced under its own id and in a kit that is there', async () => {
    const { pieces } = shelf.parse((await ask('GET', '/api/shelf')).body)
    const bonnet = pieces.find((p) => p.id === 'pipit-bonnet-piece')!
    const lot = { ...bonnet, lot: 'H180-2700-01' }
    expect((await ask('PUT', '/api/pieces/pipit-bonnet-piece', lot)).status).toBe(200)
    expect((await ask('PUT', '/api/pieces/other', lot)).body).toMatchObject({ code: 'OTHER_PIECE' })
    expect((await ask('PUT', '/api/pieces/pipit-bonnet-piece', { ...lot, kitId: 'gone' })).status).toBe(404)
    expect((await ask('PUT', '/api/parts/0412-bonnet/piece', { pieceId: null })).body.pieceId).toBe(null)
    expect((await ask('PUT', '/api/parts/0412-bonnet/piece', { pieceId: 'gone' })).status).toBe(404)
  })
})

describe('forms', () => {
  const bonnet = formDoc.parse(
    JSON.parse(readFileSync(new URL('../../../demo/forms/pipit-bonnet.json', import.meta.url), 'utf8')),
  )
  test('are changed in place while no fit has used them, and given to parts that were not measured', async () => {
    expect((await ask('PUT', '/api/forms/pipit-bonnet', { ...bonnet, name: 'Bonnet, again' })).body.version).toBe(1)
    const roof = { ...bonnet, id: 'tern-roof', name: 'Roof', version: 7 }
    expect((await ask('PUT', '/api/forms/tern-roof', roof)).body.version).toBe(1)
    expect((await ask('PUT', '/api/parts/0412-bonnet/form', { formId: 'tern-roof' })).body).toMatchObject({
      formId: 'tern-roof',
      formVersion: 1,
    })
    expect((await ask('PUT', '/api/parts/0412-bonnet/form', { formId: 'gone' })).status).toBe(404)
  })
  test('that make no sense are refused with the place, and change nothing', async () => {
    const answer = await ask('PUT', '/api/forms/pipit-bonnet', { ...bonnet, start: [0] })
    expect(answer.body.where).toBe('start')
    expect((await ask('PUT', '/api/forms/pipit-bonnet', { ...bonnet, id: 'x' })).body).toMatchObject({
      code: 'OTHER_FORM',
    })
    expect((await ask('GET', '/api/forms/pipit-bonnet')).body.name).toBe(bonnet.name)
    expect((await ask('GET', '/api/forms/none')).status).toBe(404)
  })
})

describe('the order of laying', () => {
  const chosen = {
    order: {
      school: 'centre out',
      made: 'by search',
      anchors: [{ label: verbatim('badge'), at: [0, 100], pullShare: 1 }],
      from: [[0, 100]],
      fromLabel: verbatim('there'),
      flatFirst: 0,
      spiral: false,
      strokeMm: 120,
    },
    because: verbatim('One lift instead of five.'),
  }
  test('is kept with its part, comes with the job, and can be taken back', async () => {
    expect((await ask('PUT', '/api/parts/0412-bonnet/order', { chosen })).body.order).toEqual(chosen)
    const bundle = jobBundle.parse((await ask('GET', '/api/jobs/0412')).body)
    expect(bundle.parts.find((p) => p.id === '0412-bonnet')?.order).toEqual(chosen)
    expect((await ask('PUT', '/api/parts/0412-bonnet/order', { chosen: null })).body.order).toBeNull()
  })
  test('that makes no sense is refused with the place, and changes nothing', async () => {
    const wrong = { ...chosen, order: { ...chosen.order, strokeMm: -4 } }
    const answer = await ask('PUT', '/api/parts/0412-bonnet/order', { chosen: wrong })
    expect(answer.status).toBe(400)
    expect(answer.body.where).toContain('strokeMm')
    expect((await ask('PUT', '/api/parts/nobody/order', { chosen })).status).toBe(404)
  })
})

describe('films', () => {
  const film = async () =>
    shelf.parse((await ask('GET', '/api/shelf')).body).films.find((f) => f.id === 'clearcoat-hull-180')
  test('are changed figure by figure', async () => {
    const before = await film()
    const next = { ...before, handling: { ...before?.handling, take: 0.006 } }
    expect((await ask('PUT', '/api/films/clearcoat-hull-180', next)).body.handling.take).toBe(0.006)
    expect((await film())?.handling.take).toBe(0.006)
  })
  test('whose figures contradict each other are refused in a sentence, and stay as they were', async () => {
    const before = await film()
    const wrong = { ...before, handling: { ...before?.handling, coldStretch: 0.3, warmStretch: 0.1 } }
    const answer = await ask('PUT', '/api/films/clearcoat-hull-180', wrong)
    expect(answer.status).toBe(400)
    expect(JSON.stringify(answer.body)).toContain('further than warm')
    expect(await film()).toEqual(before)
    expect((await ask('PUT', '/api/films/clearcoat-hull-180', { ...before, id: 'x' })).status).toBe(422)
    expect((await ask('PUT', '/api/films/none', { ...before, id: 'none' })).status).toBe(404)
  })
  test('kept before a figure was asked for take its usual value', async () => {
    const before = await film()
    const { recovery: _, ...old } = before?.handling ?? { recovery: 0 }
    const document = JSON.stringify({ ...before, handling: old })
    await demo.database.write((db) =>
      db.run(sql`update films set document = ${document} where id = 'clearcoat-hull-180'`),
    )
    expect((await film())?.handling.recovery).toBe(usualHandling.recovery)
  })
})

test('ids are made of names, and numbered where they are taken', () => {
  expect(idFromName('Selwick Tern, 2nd', new Set())).toBe('selwick-tern-2nd')
  expect(idFromName('Größe', new Set(['gro-e', 'große', 'groe']))).toMatch(/^[a-z0-9-]+$/)
  expect(idFromName('!!', new Set(['unnamed']))).toBe('unnamed-2')
})
